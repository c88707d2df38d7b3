import type { SqlEntityManager } from "@mikro-orm/libsql";
import { Fault } from "../fault.ts";

/** How long a write waits for another program that holds the database, and how often it asks, in ms. */
const patience = 5000;
const between = 25;

/**
 * The only way in which anything is written: one transaction, committed before this returns and rolled back on
 * any error. While another program holds the write lock it is tried again without holding up anybody.
 * @throws Fault with 503 when the lock is held for too long; nothing is written then
 */
export async function write<T>(em: SqlEntityManager, task: (tx: SqlEntityManager) => Promise<T>): Promise<T> {
  const until = Date.now() + patience;
  for (;;) {
    try {
      return await em.fork().transactional(task);
    } catch (error) {
      if (!isBusy(error)) throw error;
      if (Date.now() > until)
        throw new Fault(
          503,
          "Another program holds the database, so nothing was written. End that program's work on the file, and try again.",
        );
      await new Promise((done) => setTimeout(done, between));
    }
  }
}

const isBusy = (error: unknown): boolean =>
  error instanceof Error && /SQLITE_BUSY|database is locked/i.test(error.message);
