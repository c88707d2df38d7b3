/** Requests and the worker that are started before the script that uses them has loaded. */

/** Maximum time for a response, in ms; a server that hangs is reported like one that is unreachable. */
const longestWait = 60_000;

/** Sends a request to the server. @param address as fetch takes it */
export const send = (address: string, init?: RequestInit): Promise<Response> =>
  fetch(address, { signal: AbortSignal.timeout(longestWait), ...init });

/** Address of a shop's catalogue, for a worker. @param path the shop's path */
export const sourceAddress = (path: string): string => new URL(`/api${path}/source`, location.href).href;

/** Starts the worker that keeps a catalogue. @param address of the catalogue, which it fetches ahead */
function startWorker(address: string): Worker {
  const worker = new Worker(new URL("./desk/desk.worker.ts", import.meta.url), { type: "module" });
  worker.postMessage({ prefetch: address });
  return worker;
}

/** Responses to requests that were sent ahead, by address. */
const responses = new Map<string, Promise<Response>>();
let started: { address: string; worker: Worker } | undefined;

/** The response to a request that was sent ahead, once; sent now otherwise. */
export function responseTo(address: string): Promise<Response> {
  const ahead = responses.get(address);
  responses.delete(address);
  return ahead ?? send(address);
}

/** A worker that fetches the catalogue at an address: the one started ahead, once, or a new one. */
export function workerFor(address: string): Worker {
  const ahead = started;
  started = undefined;
  if (ahead?.address === address) return ahead.worker;
  ahead?.worker.terminate();
  return startWorker(address);
}

/** Starts the worker for a catalogue, and requests what else a view waits for. @param addresses as fetch takes them */
export function startAhead(catalogue: string, addresses: readonly string[]): void {
  started = { address: catalogue, worker: startWorker(catalogue) };
  for (const address of addresses) {
    const response = send(address);
    // The view receives the same failure, and reports it.
    response.catch(() => undefined);
    responses.set(address, response);
  }
}
