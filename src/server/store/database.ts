import { mkdirSync } from "node:fs";
import { dirname } from "node:path";
import { MikroORM } from "@mikro-orm/libsql";
import { Migrator } from "@mikro-orm/migrations";
import { Shops } from "../migrations/2026-11-24-shops.ts";
import { Catalogues } from "../migrations/2026-11-25-catalogues.ts";
import { PanelFormat2 } from "../migrations/2026-11-25-panel-format-2.ts";
import { SwatchBooks } from "../migrations/2026-11-25-swatch-books.ts";
import { Documents } from "../migrations/2026-11-27-documents.ts";
import { Editions } from "../migrations/2026-11-27-editions.ts";
import { Removed } from "../migrations/2026-11-27-removed.ts";
import { CarefulDialect, type RawConnection } from "./dialect.ts";
import {
  CataloguePartSchema,
  ContentSchema,
  DocumentSchema,
  EditionSchema,
  PictureSchema,
  ShopSchema,
  StepSchema,
} from "./entities.ts";

const migrations = [
  { name: "2026-11-24-shops", class: Shops },
  { name: "2026-11-25-catalogues", class: Catalogues },
  { name: "2026-11-25-panel-format-2", class: PanelFormat2 },
  { name: "2026-11-25-swatch-books", class: SwatchBooks },
  { name: "2026-11-27-documents", class: Documents },
  { name: "2026-11-27-editions", class: Editions },
  { name: "2026-11-27-removed", class: Removed },
];

/** Connections are replaced now and then, so what holds for one is said to each. Reads wait for a short while only; writes ask again. */
const habits = ["pragma busy_timeout = 250", "pragma foreign_keys = on", "pragma journal_mode = wal"];

function afterCreate(connection: RawConnection, done: (error: unknown, connection: RawConnection) => void): void {
  try {
    for (const habit of habits) connection.exec(habit);
    done(undefined, connection);
  } catch (error) {
    done(error, connection);
  }
}

/**
 * Opens the SQLite file, made if need be, and brings its tables up to date. `:memory:` keeps nothing.
 * @param upTo the last migration to do, for looking at older states; all by default
 */
export async function openDatabase(file: string, { upTo }: { upTo?: string } = {}): Promise<MikroORM> {
  if (file !== ":memory:") mkdirSync(dirname(file), { recursive: true });
  const orm = await MikroORM.init({
    dbName: file,
    entities: [
      ...[ShopSchema, CataloguePartSchema, DocumentSchema, StepSchema, PictureSchema],
      ...[EditionSchema, ContentSchema],
    ],
    extensions: [Migrator],
    migrations: { migrationsList: migrations, snapshot: false, silent: true },
    discovery: { disableDynamicFileAccess: true },
    pool: { afterCreate },
    driverOptions: { client: CarefulDialect },
  });
  await orm.migrator.up(upTo === undefined ? undefined : { to: upTo });
  return orm;
}
