import { parseArgs } from "node:util";
import { writeFolder } from "../core/shop/archive/write-folder.ts";
import type { Command } from "./command.ts";
import { intoOption, writeFiles } from "./folder.ts";
import { givenShop, shopOptions } from "./shop.ts";
import { UsageError } from "./usage-error.ts";

/** A shop of the database as a folder. */
export const exportShop: Command = {
  name: "export",
  about: "Writes a shop of the database as a folder of plain files.",
  usage: "trellis export --shop SLUG --out FOLDER [--edition N] [--into] [--data FILE]",
  options: [
    ["--shop SLUG", "Shop to write, by its name in addresses; the tool may be running"],
    ["--out FOLDER", "Folder to write into"],
    ["--edition N", "Edition to write, or draft", "the draft"],
    ["--into", "Write into a folder that contains other files"],
    ["--data FILE", "Database to read", "data/trellis.db"],
  ],
  example: "trellis export --shop larkmoss-nursery --out ./larkmoss",
  async run(args) {
    const { values } = parseArgs({
      args,
      options: { out: { type: "string" }, ...shopOptions, ...intoOption },
    });
    const { shop: slug, out } = values;
    if (slug === undefined || out === undefined)
      throw new UsageError(`Name a shop and a folder. Usage: ${exportShop.usage}`);
    const { whole } = await givenShop([], values, exportShop, "draft");
    const files = writeFolder(whole);
    const note = writeFiles(out, files, { content: "shop", into: values.into });
    return { text: [...files.keys()].join("\n"), status: 0, note };
  },
};
