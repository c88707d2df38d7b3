import { existsSync, mkdirSync } from "node:fs";
import { dirname, join, resolve } from "node:path";
import { fileURLToPath } from "node:url";
import type { SqlEntityManager } from "@mikro-orm/libsql";
import { openDatabase } from "../server/store/database.ts";
import { lockFile } from "../server/store/lock.ts";
import { UsageError } from "./usage-error.ts";

const usual = join(resolve(dirname(fileURLToPath(import.meta.url)), "../.."), "data/trellis.db");

/**
 * Opens the database, does something with it, and closes it whatever happens.
 * @param state whether it must be there already, or is made where it is not
 * @throws UsageError where another process holds it
 */
export async function withDatabase<T>(
  file = usual,
  state: "there" | "made",
  task: (em: SqlEntityManager) => Promise<T>,
): Promise<T> {
  if (state === "there" && !existsSync(file)) throw new UsageError(`There is no database ${file}.`);
  let release: () => void;
  try {
    mkdirSync(dirname(file), { recursive: true });
    release = lockFile(file);
  } catch (error) {
    throw new UsageError((error as Error).message);
  }
  try {
    const orm = await openDatabase(file);
    try {
      return await task(orm.em.fork());
    } finally {
      await orm.close(true);
    }
  } finally {
    release();
  }
}
