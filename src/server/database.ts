import { mkdirSync } from "node:fs";
import { dirname } from "node:path";
import { MikroORM } from "@mikro-orm/libsql";
import { Migrator } from "@mikro-orm/migrations";
import { CataloguePartSchema, PanelSchema, PictureSchema, ShopSchema } from "./entities.ts";
import { Shops } from "./migrations/2026-11-24-shops.ts";
import { Catalogues } from "./migrations/2026-11-25-catalogues.ts";
import { PanelFormat2 } from "./migrations/2026-11-25-panel-format-2.ts";
import { SwatchBooks } from "./migrations/2026-11-25-swatch-books.ts";

const migrations = [
  { name: "2026-11-24-shops", class: Shops },
  { name: "2026-11-25-catalogues", class: Catalogues },
  { name: "2026-11-25-panel-format-2", class: PanelFormat2 },
  { name: "2026-11-25-swatch-books", class: SwatchBooks },
];

/**
 * Opens the SQLite file, made if need be, and brings its tables up to date. `:memory:` keeps nothing.
 * @param upTo the last migration to do, for looking at older states; all by default
 */
export async function openDatabase(file: string, { upTo }: { upTo?: string } = {}): Promise<MikroORM> {
  if (file !== ":memory:") mkdirSync(dirname(file), { recursive: true });
  const orm = await MikroORM.init({
    dbName: file,
    entities: [ShopSchema, CataloguePartSchema, PanelSchema, PictureSchema],
    extensions: [Migrator],
    migrations: { migrationsList: migrations, snapshot: false, silent: true },
    discovery: { disableDynamicFileAccess: true },
  });
  await orm.em.getConnection().execute("pragma journal_mode = wal");
  await orm.em.getConnection().execute("pragma foreign_keys = on");
  await orm.migrator.up(upTo === undefined ? undefined : { to: upTo });
  return orm;
}
