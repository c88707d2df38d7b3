import type { Piscina } from "piscina";
import { HttpError } from "../http-error.ts";

/**
 * Time for which started work continues after its client has disconnected, in ms: starting a new thread costs about as
 * much.
 */
const grace = 2000;
/** Interval of checking the clock, in ms. */
const tick = 100;

export interface ThreadTask {
  name: string;
  /** In s, from when a thread starts with it; waiting before that does not count. */
  deadline: { max: number };
  /** Aborted when the client disconnects; if absent, it is always waited for. */
  client?: AbortSignal | undefined;
  transferList?: ArrayBuffer[];
}

/** A task for a thread, with a flag that it sets when it starts. */
export interface SentTask<T> {
  task: T;
  begun: Int32Array<SharedArrayBuffer>;
}

/** Starts a task in a thread. @returns the task itself */
export function taken<T>({ task, begun }: SentTask<T>): T {
  Atomics.store(begun, 0, 1);
  return task;
}

/**
 * Runs a task in a pool. One that exceeds its time is ended together with its thread, which is replaced; one that
 * nobody waits for any more is not started, or ended a moment later.
 * @throws HttpError with 503
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
