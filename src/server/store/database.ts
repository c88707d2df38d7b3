import { mkdirSync } from "node:fs";
import { dirname } from "node:path";
import { MikroORM, type Options } from "@mikro-orm/libsql";
import { freeName, realFile } from "../disk/files.ts";
import { backUp, completeRestore } from "./backup.ts";
import { checkFile, writeApplicationId } from "./check-file.ts";
import { busyTimeout, CarefulDialect, type RawConnection } from "./dialect.ts";
import { FileGuard, guardConnection, guardOf } from "./file-guard.ts";
import { CataloguePartSchema, PastCatalogueSchema, PastPartSchema } from "./tables/catalogue.ts";
import { DocumentSchema, StepSchema } from "./tables/document.ts";
import { PictureSchema } from "./tables/picture.ts";
import { ShopSchema } from "./tables/shop.ts";
import { ContentSchema, EditionSchema, PreviewNoteSchema, PreviewSchema } from "./tables/snapshot.ts";
import { VisitBatchSchema, VisitFileSchema } from "./tables/visit.ts";
import { upgradeDocuments } from "./upgrade-documents.ts";

/** All migrations, the oldest first; loaded only where one is still to run. */
const migrations = [
  { name: "2026-11-24-shops", load: async () => (await import("../migrations/2026-11-24-shops.ts")).Shops },
  {
    name: "2026-11-25-catalogues",
    load: async () => (await import("../migrations/2026-11-25-catalogues.ts")).Catalogues,
  },
  {
    name: "2026-11-25-panel-format-2",
    load: async () => (await import("../migrations/2026-11-25-panel-format-2.ts")).PanelFormat2,
  },
  {
    name: "2026-11-25-swatch-books",
    load: async () => (await import("../migrations/2026-11-25-swatch-books.ts")).SwatchBooks,
  },
  { name: "2026-11-27-documents", load: async () => (await import("../migrations/2026-11-27-documents.ts")).Documents },
  { name: "2026-11-27-editions", load: async () => (await import("../migrations/2026-11-27-editions.ts")).Editions },
  { name: "2026-11-27-removed", load: async () => (await import("../migrations/2026-11-27-removed.ts")).Removed },
  {
    name: "2026-11-28-past-catalogues",
    load: async () => (await import("../migrations/2026-11-28-past-catalogues.ts")).PastCatalogues,
  },
  {
    name: "2026-11-30-step-times",
    load: async () => (await import("../migrations/2026-11-30-step-times.ts")).StepTimes,
  },
  { name: "2026-11-30-visits", load: async () => (await import("../migrations/2026-11-30-visits.ts")).Visits },
  { name: "2026-12-01-previews", load: async () => (await import("../migrations/2026-12-01-previews.ts")).Previews },
  {
    name: "2026-12-01-panel-heights",
    load: async () => (await import("../migrations/2026-12-01-panel-heights.ts")).PanelHeights,
  },
];

/** Names of all migrations, the oldest first. */
export const migrationNames = migrations.map(({ name }) => name);

/**
 * The pool replaces connections now and then, so each new one gets these settings. Reads wait only briefly; writes
 * retry.
 */
const habits = [busyTimeout, "pragma foreign_keys = on", "pragma journal_mode = wal"];

const sayingTo =
  (habits: readonly string[]) =>
  (connection: RawConnection, done: (error: unknown, connection: RawConnection) => void): void => {
    try {
      for (const habit of habits) connection.exec(habit);
      done(undefined, connection);
    } catch (error) {
      done(error, connection);
    }
  };

/**
 * Opens the SQLite file, creating it if needed, and migrates its tables and documents; it is copied before tables
 * change. `:memory:` stores nothing.
 * @param upTo the last migration to run, for testing older states; all by default
 * @param onLost called once, with a sentence, if the file is moved or removed while open
 * @throws UnfitFile if the file can't be opened by this version
 */
export async function openDatabase(
  named: string,
  { upTo, onLost }: { upTo?: string; onLost?: (sentence: string) => void } = {},
): Promise<MikroORM> {
  const file = named === ":memory:" ? named : realFile(named);
  if (file !== ":memory:") {
    mkdirSync(dirname(file), { recursive: true });
    completeRestore(file, migrationNames);
  }
  const open = checkFile(file, migrationNames);
  if (file !== ":memory:") writeApplicationId(file);
  // A newer version's migration can't be undone; the copy made before it can be used.
  if (open && open.length > 0 && open.length < migrationNames.length && upTo === undefined)
    backUp(file, freeName(`${file}.before-${open.at(-1)}`));
  const isCurrent = open?.length === 0;
  const orm = await connect(file, habits, isCurrent ? {} : await migrating());
  if (!isCurrent) await orm.migrator.up(upTo === undefined ? undefined : { to: upTo });
  if (file !== ":memory:") guardConnection(orm.em.getConnection(), new FileGuard(file, onLost));
  if (upTo === undefined) await upgradeDocuments(orm.em.fork());
  return orm;
}

/** Opens a file that {@link openDatabase} has opened already, in another thread and read-only. */
export const openForReading = (file: string): Promise<MikroORM> => connect(file, [...habits, "pragma query_only = on"]);

/** The options with which a database can be migrated. */
async function migrating(): Promise<Options> {
  const { Migrator } = await import("@mikro-orm/migrations");
  const list = await Promise.all(migrations.map(async ({ name, load }) => ({ name, class: await load() })));
  return { extensions: [Migrator], migrations: { migrationsList: list, snapshot: false, silent: true } };
}

const connect = (file: string, habits: readonly string[], more: Options = {}): Promise<MikroORM> =>
  MikroORM.init({
    dbName: file,
    entities: [
      ...[ShopSchema, CataloguePartSchema, DocumentSchema, StepSchema, PictureSchema],
      ...[EditionSchema, ContentSchema, PastCatalogueSchema, PastPartSchema, VisitBatchSchema, VisitFileSchema],
      ...[PreviewSchema, PreviewNoteSchema],
    ],
    ...more,
    discovery: { disableDynamicFileAccess: true },
    pool: { afterCreate: sayingTo(habits) },
    driverOptions: { client: CarefulDialect },
  });

/** Closes a database and merges its log, so that the one file is complete. */
export async function closeDatabase(orm: MikroORM): Promise<void> {
  const connection = orm.em.getConnection();
  const guard = guardOf(connection);
  const lost = guard?.isLost ?? false;
  guard?.close();
  try {
    if (!lost) await connection.execute("pragma wal_checkpoint(truncate)");
  } finally {
    await orm.close(true);
  }
}
