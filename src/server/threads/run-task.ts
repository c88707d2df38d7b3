import type { Piscina } from "piscina";
import { HttpError } from "../http-error.ts";

/** How long work that has begun goes on for a client that has gone away, in ms: a new thread costs about as much. */
const grace = 2000;
/** How often the clock is looked at, in ms. */
const tick = 100;

export interface ThreadTask {
  name: string;
  /** In s, from when a thread begins with it; what it waits for before that is not its own work. */
  deadline: { max: number };
  /** Tells when whoever asked has gone away; they are waited for when absent. */
  client?: AbortSignal | undefined;
  transferList?: ArrayBuffer[];
}

/** A task as a thread gets it, with a mark that it sets as it begins. */
export interface SentTask<T> {
  task: T;
  begun: Int32Array<SharedArrayBuffer>;
}

/** Takes a task up in a thread. @returns the task itself */
export function taken<T>({ task, begun }: SentTask<T>): T {
  Atomics.store(begun, 0, 1);
  return task;
}

/**
 * Has a task done by a pool. One that takes longer than it may is ended together with its thread, and another thread
 * comes in its place; one that nobody waits for any more is not begun, or ended a moment later.
 * @throws Fault with 503
 */
export async function runTask<R>(
  pool: Piscina,
  task: unknown,
  { name, deadline, client, transferList }: ThreadTask,
): Promise<R> {
  const stop = new AbortController();
  const begun = new Int32Array(new SharedArrayBuffer(4));
  let [since, gone]: (number | undefined)[] = [undefined, undefined];
  const look = () => {
    const now = performance.now();
    if (Atomics.load(begun, 0) === 1) since ??= now;
    if (client?.aborted) gone ??= now;
    const isLate = since !== undefined && now - since > deadline.max * 1000;
    const isUnwanted = gone !== undefined && (since === undefined || now - gone > grace);
    if (isLate || isUnwanted) stop.abort();
  };
  const timer = setInterval(look, tick);
  try {
    return await pool.run({ task, begun } satisfies SentTask<unknown>, {
      name,
      signal: stop.signal,
      ...(transferList ? { transferList } : {}),
    });
  } catch (error) {
    if (!stop.signal.aborted) throw error;
    throw new HttpError(
      503,
      `This took longer than ${deadline.max} seconds and was stopped. Try again with fewer products, columns or filters.`,
    );
  } finally {
    clearInterval(timer);
  }
}
