import type { SqlEntityManager } from "@mikro-orm/libsql";
import { HttpError } from "../http-error.ts";
import { guardOf } from "./file-guard.ts";

let done = 0;

/** How many writes have ended in this process, which holds its file alone: as long as it is the same, so is all that was read. */
export const writeCount = (): number => done;

/** In a thread, which only reads: how many writes have ended in the one that writes. */
export function syncWriteCount(writes: number): void {
  done = writes;
}

/** Lets others in between two parts of a long write: the driver itself never waits. */
export const yieldToEventLoop = (): Promise<void> => new Promise((done) => setImmediate(done));

let lastTurn: Promise<unknown> = Promise.resolve();

/** Does something that takes a few ms after all that were asked for earlier, and lets other requests in between. */
export function serialized<T>(task: () => T): Promise<T> {
  const own = lastTurn.then(yieldToEventLoop).then(task);
  lastTurn = own.catch(() => {});
  return own;
}

/** How long a write waits for another program that holds the database, and how often it asks, in ms. */
const patience = 5000;
const between = 25;

/** By the connection to a database, the end of its queue of writers: one asks for the lock, the others wait without a timer. */
const queues = new WeakMap<object, Promise<unknown>>();

/**
 * The only way in which anything is written: one transaction, committed before this returns and rolled back on
 * any error. Writers of one database queue up; while another program holds the write lock the first of them asks again
 * by timer, which holds up nobody who only reads.
 * @throws Fault with 503 when the lock is held for too long or the file is gone, with 507 when there is no room; nothing is written then
 */
export function write<T>(em: SqlEntityManager, task: (tx: SqlEntityManager) => Promise<T>): Promise<T> {
  const connection = em.getConnection();
  const until = performance.now() + patience;
  const before = queues.get(connection) ?? Promise.resolve();
  const own = before.then(async () => {
    // The driver never waits by itself, so twenty writers would run as one long task.
    await yieldToEventLoop();
    return writeNow(em, task, until);
  });
  queues.set(
    connection,
    own.catch(() => {}),
  );
  return own;
}

async function writeNow<T>(
  em: SqlEntityManager,
  task: (tx: SqlEntityManager) => Promise<T>,
  until: number,
): Promise<T> {
  const guard = guardOf(em.getConnection());
  for (;;) {
    try {
      guard?.check();
      const written = await em.fork().transactional(task);
      done++;
      // A commit into a file that is gone is lost.
      guard?.check();
      return written;
    } catch (error) {
      // Without the lock nothing was begun, and all that was read before still holds.
      if (!isBusy(error)) done++;
      if (isNoRoom(error))
        throw new HttpError(
          507,
          "The disk is full or failing, so nothing was saved. Free some space or check the disk, then try again.",
        );
      if (!isBusy(error)) throw error;
      if (performance.now() > until)
        throw new HttpError(
          503,
          "Another program is using the database, so nothing was saved. Close it there, and try again.",
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
