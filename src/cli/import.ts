import { parseArgs } from "node:util";
import { type Command, onlyOne } from "./command.ts";
import { openFolder } from "./folder.ts";

/** A shop folder as a new shop of the database. */
export const importShop: Command = {
  name: "import",
  about: "Creates a new shop in the database from a shop folder, and prints its address.",
  usage: "trellis import FOLDER [--data FILE]",
  options: [["--data FILE", "Database to write to", "data/trellis.db"]],
  example: "trellis import ./larkmoss",
  async run(args) {
    const { values, positionals } = parseArgs({ args, allowPositionals: true, options: { data: { type: "string" } } });
    const whole = openFolder(onlyOne(positionals, "shop folder", importShop));
    const [{ withDatabase }, { importOf }, { createWhole, picturesOf }] = await Promise.all([
      import("./database.ts"),
      import("../server/store/shops.ts"),
      import("../server/store/whole-shops.ts"),
    ]);
    return withDatabase(values.data, "made", async (em) => ({
      text: (await createWhole(em, whole, importOf(whole.catalogue), picturesOf(whole))).slug,
      status: 0,
    }));
  },
};
