import { mkdirSync } from "node:fs";
import { dirname } from "node:path";
import { MikroORM } from "@mikro-orm/libsql";
import { Migrator } from "@mikro-orm/migrations";
import { PanelSchema, ProductSchema, ShopSchema } from "./entities.ts";
import { Shops } from "./migrations/2026-11-24-shops.ts";

const migrations = [{ name: "2026-11-24-shops", class: Shops }];

/** Opens the SQLite file, made if need be, and brings its tables up to date. `:memory:` keeps nothing. */
export async function openDatabase(file: string): Promise<MikroORM> {
  if (file !== ":memory:") mkdirSync(dirname(file), { recursive: true });
  const orm = await MikroORM.init({
    dbName: file,
    entities: [ShopSchema, ProductSchema, PanelSchema],
    extensions: [Migrator],
    migrations: { migrationsList: migrations, snapshot: false, silent: true },
    discovery: { disableDynamicFileAccess: true },
  });
  await orm.em.getConnection().execute("pragma journal_mode = wal");
  await orm.em.getConnection().execute("pragma foreign_keys = on");
  await orm.migrator.up();
  return orm;
}
