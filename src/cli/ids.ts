import { parseArgs } from "node:util";
import { idList } from "../core/shop/id-list.ts";
import { siteOf } from "../core/shop/site.ts";
import type { Command } from "./command.ts";
import { givenShop, shopHelp, shopOptions } from "./shop.ts";

/** The ids by which a site names products. */
export const ids: Command = {
  name: "ids",
  about: "Lists the ids of a shop’s products with their titles and addresses, as CSV.",
  usage: "trellis ids (FOLDER | --shop SLUG) [--edition N] [--data FILE]",
  options: shopHelp("the newest edition"),
  example: "trellis ids ./larkmoss > ids.csv",
  async run(args) {
    const { values, positionals } = parseArgs({ args, allowPositionals: true, options: shopOptions });
    const { whole } = await givenShop(positionals, values, ids, "newest");
    return { text: idList(whole.catalogue, siteOf(whole.shop).link), status: 0 };
  },
};
