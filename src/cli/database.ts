import { existsSync, mkdirSync } from "node:fs";
import { dirname, join } from "node:path";
import type { SqlEntityManager } from "@mikro-orm/libsql";
import { repository } from "../server/repository.ts";
import { checkFile, UnfitFile } from "../server/store/check-file.ts";
import { migrationNames, openDatabase, openForReading } from "../server/store/database.ts";
import { lockFile } from "../server/store/lock.ts";
import { UsageError } from "./usage-error.ts";

/** Default location of the database. */
export const defaultDatabase = join(repository, "data/trellis.db");

/** Runs a task while the database file is locked. @throws UsageError if another process holds it */
export async function withLockedFile<T>(file: string, task: () => Promise<T>): Promise<T> {
  let release: () => void;
  try {
    mkdirSync(dirname(file), { recursive: true });
    release = lockFile(file);
  } catch (error) {
    throw new UsageError((error as Error).message);
  }
  try {
    return await task();
  } finally {
    release();
  }
}

/** The migrations that a database file still needs. @throws UsageError if there is none, or it is not one of ours */
export function pendingMigrations(file: string): readonly string[] {
  mustExist(file);
  try {
    return checkFile(file, migrationNames) ?? migrationNames;
  } catch (error) {
    throw asUsageError(error);
  }
}

function mustExist(file: string): void {
  if (!existsSync(file)) throw new UsageError(`There is no database ${file}. Check the name.`);
}

const asUsageError = (error: unknown): unknown => (error instanceof UnfitFile ? new UsageError(error.message) : error);

/**
 * Opens the database for reading alone, also while the tool runs, and always closes it afterwards. A file of an older
 * version is migrated first, which needs it alone.
 * @throws UsageError if it can't be opened
 */
export async function withReading<T>(file = defaultDatabase, task: (em: SqlEntityManager) => Promise<T>): Promise<T> {
  const pending = pendingMigrations(file);
  if (pending.length > 0) return withDatabase(file, "there", task);
  const orm = await openForReading(file);
  try {
    return await task(orm.em.fork());
  } finally {
    await orm.close(true);
  }
}

/**
 * Opens the database, runs a task with it, and always closes it afterwards.
 * @param state whether the file must exist already, or is created if missing
 * @throws UsageError if another process holds it, or it can't be opened
 */
export async function withDatabase<T>(
  file = defaultDatabase,
  state: "there" | "made",
  task: (em: SqlEntityManager) => Promise<T>,
): Promise<T> {
  if (state === "there") mustExist(file);
  return withLockedFile(file, async () => {
    const orm = await openDatabase(file).catch((error: unknown) => {
      throw asUsageError(error);
    });
    try {
      return await task(orm.em.fork());
    } finally {
      await orm.close(true);
    }
  });
}
