import type { SqlEntityManager } from "@mikro-orm/libsql";
import { Fault } from "../fault.ts";

let done = 0;

/** How many writes have ended in this process, which holds its file alone: as long as it is the same, so is all that was read. */
export const writesDone = (): number => done;

/** In a thread, which only reads: how many writes have ended in the one that writes. */
export function catchUp(writes: number): void {
  done = writes;
}

/** Lets others in between two parts of a long write: the driver itself never waits. */
export const breathe = (): Promise<void> => new Promise((done) => setImmediate(done));

/** How long a write waits for another program that holds the database, and how often it asks, in ms. */
const patience = 5000;
const between = 25;

/**
 * The only way in which anything is written: one transaction, committed before this returns and rolled back on
 * any error. While another program holds the write lock it is tried again without holding up anybody.
 * @throws Fault with 503 when the lock is held for too long, with 507 when there is no room; nothing is written then
 */
export async function write<T>(em: SqlEntityManager, task: (tx: SqlEntityManager) => Promise<T>): Promise<T> {
  const until = Date.now() + patience;
  for (;;) {
    try {
      return await em
        .fork()
        .transactional(task)
        .finally(() => {
          done++;
        });
    } catch (error) {
      if (isNoRoom(error))
        throw new Fault(
          507,
          "The disk took nothing more, so nothing was written. Make room on it, or look whether it is sound; then try again.",
        );
      if (!isBusy(error)) throw error;
      if (Date.now() > until)
        throw new Fault(
          503,
          "Another program holds the database, so nothing was written. End that program's work on the file, and try again.",
        );
      await new Promise((over) => setTimeout(over, between));
    }
  }
}

/** A full disk, or one that fails. Source: SQLite's result codes SQLITE_FULL and SQLITE_IOERR. */
const isNoRoom = (error: unknown): boolean =>
  error instanceof Error && /SQLITE_(?:FULL|IOERR)|disk is full|disk I\/O error/i.test(error.message);

const isBusy = (error: unknown): boolean =>
  error instanceof Error && /SQLITE_BUSY|database is locked/i.test(error.message);
