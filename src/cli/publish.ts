import { parseArgs } from "node:util";
import { encodeCatalogue } from "../core/catalogue/binary.ts";
import { variantCount } from "../core/catalogue/catalogue.ts";
import { slugOf } from "../core/page/move-address.ts";
import { type EditionManifest, editionFormat, editionNumber } from "../core/shop/archive/edition-manifest.ts";
import {
  checkTarget,
  lastEdition,
  readCurrent,
  readManifest,
  writeEdition,
} from "../server/published/edition-folder.ts";
import { isSameFiles, type SnapshotFiles, snapshotFiles } from "../server/published/snapshot-files.ts";
import { type Command, onlyOne } from "./command.ts";
import { openFolder } from "./folder.ts";
import { findShopNamed } from "./shop.ts";
import { UsageError } from "./usage-error.ts";

/** An edition as files, for `trellis serve`. */
export const publish: Command = {
  name: "publish",
  about: "Writes an edition as files, named by their content, for trellis serve.",
  usage: "trellis publish (FOLDER | --shop SLUG) --out DIR [--edition N] [--data FILE] [--note TEXT]",
  options: [
    ["--shop SLUG", "Shop of the database, in place of a folder; the tool may be running"],
    ["--edition N", "Edition to write", "the newest"],
    ["--data FILE", "Database to read", "data/trellis.db"],
    ["--out DIR", "Folder to write into; earlier editions in it stay"],
    ["--note TEXT", "What the edition is about; only with a folder"],
  ],
  example: "trellis publish --shop larkmoss-nursery --out ./live/larkmoss-nursery",
  async run(args) {
    const { values, positionals } = parseArgs({
      args,
      allowPositionals: true,
      options: {
        out: { type: "string" },
        shop: { type: "string" },
        edition: { type: "string" },
        data: { type: "string" },
        note: { type: "string" },
      },
    });
    const { out, shop, edition, data, note } = values;
    if (out === undefined) throw new UsageError(`Name the folder to write to with --out. Usage: ${publish.usage}`);
    if (edition !== undefined && editionNumber(edition) === undefined)
      throw new UsageError(`--edition must be the number of an edition, not “${edition}”.`);
    if (shop === undefined) {
      if (data !== undefined || edition !== undefined)
        throw new UsageError(`Name a shop with --shop to read the database. Usage: ${publish.usage}`);
      const made = ofFolder(onlyOne(positionals, "shop folder", publish), out, note ?? "");
      if (!made) return { text: `Nothing has changed since edition ${readCurrent(out).edition}.`, status: 0 };
      return written(out, made);
    }
    if (positionals.length > 0) throw new UsageError(`Name a folder or --shop, not both. Usage: ${publish.usage}`);
    if (note !== undefined) throw new UsageError("An edition of the database has its note already: leave out --note.");
    const { withReading } = await import("./database.ts");
    return withReading(data, async (em) => {
      const { editionAsFiles } = await import("../server/store/editions.ts");
      return written(out, await editionAsFiles(em, await findShopNamed(em, shop), editionNumber(edition ?? "")));
    });
  },
};

interface Edition {
  manifest: EditionManifest;
  contents: SnapshotFiles["contents"];
}

function written(out: string, { manifest, contents }: Edition) {
  writeEdition(out, manifest, contents);
  return { text: `Edition ${manifest.edition} of ${manifest.name} is in ${out}.`, status: 0 } as const;
}

/** The next edition of a shop folder; undefined if it is the same as the current one. */
function ofFolder(folder: string, out: string, note: string): Edition | undefined {
  const whole = openFolder(folder);
  const { files, contents } = snapshotFiles(whole, encodeCatalogue(whole.catalogue));
  const shop = slugOf(whole.name);
  checkTarget(out, shop);
  const last = lastEdition(out);
  if (last > 0 && isSameFiles(readManifest(out, readCurrent(out).edition).files, files)) return undefined;
  const { name, currency, catalogue } = whole;
  const head = { format: editionFormat, shop, edition: last + 1, note, name, currency } as const;
  return {
    manifest: { ...head, variantCount: variantCount(catalogue), createdAt: new Date().toISOString(), files },
    contents,
  };
}
