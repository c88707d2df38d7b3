import { parseArgs } from "node:util";
import { CatalogueIndex } from "../core/engine/index/catalogue-index.ts";
import { ColumnEngine } from "../server/column-store/column-engine.ts";
import { loadCatalogue } from "../server/column-store/load.ts";
import { Shard } from "../server/column-store/shard.ts";
import { storedHash } from "../server/column-store/store-catalogues.ts";
import { PublishedShops } from "../server/published/published-shops.ts";
import { effectiveCatalogue } from "../server/store/catalogues.ts";
import { type Command, onlyOne } from "./command.ts";
import { UsageError } from "./usage-error.ts";

/** An edition’s catalogue into a column store. */
export const load: Command = {
  name: "load",
  about: "Loads the catalogue of a published edition into a column store, for trellis serve --store.",
  usage: "trellis load DIR --store URL…",
  options: [["--store URL", "Address of a ClickHouse server; once for each shard, always in the same order"]],
  example: "trellis load ./live/larkmoss-nursery --store http://127.0.0.1:8123/",
  async run(args) {
    const { values, positionals } = parseArgs({
      args,
      allowPositionals: true,
      options: { store: { type: "string", multiple: true } },
    });
    const folder = onlyOne(positionals, "folder of editions", load);
    if (!values.store) throw new UsageError(`Name a column store with --store. Usage: ${load.usage}`);
    const shops = new PublishedShops([folder]);
    const [{ shop = "", edition = 0 } = {}] = shops.state;
    const index = new CatalogueIndex(await effectiveCatalogue(shops.source(shop)));
    const shards = values.store.map((address) => new Shard(address));
    const hash = storedHash(shops.manifest(shop, edition));
    const isThere = await ColumnEngine.open(shards, hash).then(
      () => true,
      () => false,
    );
    if (!isThere) await loadCatalogue(index, hash, shards);
    const where = shards.map(({ name }) => name).join(", ");
    return {
      text: `Edition ${edition} of ${shop}: ${index.products} products are ${isThere ? "already " : ""}in ${where}.`,
      status: 0,
    };
  },
};
