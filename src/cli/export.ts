import { parseArgs } from "node:util";
import { writeFolder } from "../core/shop/archive/write-folder.ts";
import { type Command, didYouMean } from "./command.ts";
import { intoOption, writeFiles } from "./folder.ts";
import { UsageError } from "./usage-error.ts";

/** A shop of the database as a folder. */
export const exportShop: Command = {
  name: "export",
  about: "Writes a shop of the database as a folder of plain files.",
  usage: "trellis export --shop SLUG --out FOLDER [--into] [--data FILE]",
  options: [
    ["--shop SLUG", "Shop to write, by its name in addresses"],
    ["--out FOLDER", "Folder to write into"],
    ["--into", "Write into a folder that contains other files"],
    ["--data FILE", "Database to read", "data/trellis.db"],
  ],
  example: "trellis export --shop larkmoss-nursery --out ./larkmoss",
  async run(args) {
    const { values } = parseArgs({
      args,
      options: { shop: { type: "string" }, out: { type: "string" }, data: { type: "string" }, ...intoOption },
    });
    const { shop: slug, out } = values;
    if (slug === undefined || out === undefined)
      throw new UsageError(`Name a shop and a folder. Usage: ${exportShop.usage}`);
    // The store is a large import, and most commands don't need it.
    const [{ withDatabase }, { findShop, listShops }, { wholeShop }] = await Promise.all([
      import("./database.ts"),
      import("../server/store/shops.ts"),
      import("../server/store/whole-shops.ts"),
    ]);
    return withDatabase(values.data, "there", async (em) => {
      const shop = await findShop(em, slug);
      if (!shop) {
        const known = (await listShops(em)).map((one) => one.slug);
        throw new UsageError(`There is no shop “${slug}”.${didYouMean(slug, known)}`);
      }
      const files = writeFolder(await wholeShop(em, shop));
      const note = writeFiles(out, files, { content: "shop", into: values.into });
      return { text: [...files.keys()].join("\n"), status: 0, note };
    });
  },
};
