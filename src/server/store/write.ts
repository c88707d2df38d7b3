import type { SqlEntityManager } from "@mikro-orm/libsql";
import { HttpError } from "../http-error.ts";
import { guardOf } from "./file-guard.ts";

let done = 0;

/**
 * Number of finished writes in this process, which holds its file alone: while it is unchanged, everything read stays
 * valid.
 */
export const writeCount = (): number => done;

/** In a reading thread: sets the number of finished writes of the writing one. */
export function syncWriteCount(writes: number): void {
  done = writes;
}

/** Lets others run between two parts of a long write: the driver itself never waits. */
export const yieldToEventLoop = (): Promise<void> => new Promise((done) => setImmediate(done));

let lastTurn: Promise<unknown> = Promise.resolve();

/** Runs a task of a few ms after all earlier ones, letting other requests run in between. */
export function serialized<T>(task: () => T): Promise<T> {
  const own = lastTurn.then(yieldToEventLoop).then(task);
  lastTurn = own.catch(() => {});
  return own;
}

/** Time that a write waits for another program that holds the database, and the interval between attempts, in ms. */
const patience = 5000;
const between = 25;

/**
 * By database connection, the end of its queue of writers: the first one tries to get the lock, the others wait
 * without a timer.
 */
const queues = new WeakMap<object, Promise<unknown>>();

/**
 * The only way to write: one transaction, committed before this returns and rolled back on any error. Writers of one
 * database queue up; while another program holds the write lock, the first of them retries by a timer, without
 * blocking readers.
 * @param aside nothing that is cached depends on it, so that everything read before stays valid; default: no
 * @throws HttpError with 503 if the lock is held for too long or the file is gone, with 507 if the disk is full; nothing
 * is written then
 */
export function write<T>(
  em: SqlEntityManager,
  task: (tx: SqlEntityManager) => Promise<T>,
  { aside = false }: { aside?: boolean } = {},
): Promise<T> {
  const connection = em.getConnection();
  const until = performance.now() + patience;
  const before = queues.get(connection) ?? Promise.resolve();
  const own = before.then(async () => {
    // The driver never yields, so twenty writers would run as one long task.
    await yieldToEventLoop();
    return writeNow(em, task, until, aside);
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
  aside: boolean,
): Promise<T> {
  const guard = guardOf(em.getConnection());
  for (;;) {
    try {
      guard?.check();
      const written = await em.fork().transactional(task);
      if (!aside) done++;
      // A commit into a removed file is lost.
      guard?.check();
      return written;
    } catch (error) {
      // Without the lock nothing was begun, and everything read before stays valid.
      if (!isBusy(error) && !aside) done++;
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
