import { type Remote, wrap } from "comlink";
import type { DeskService } from "./desk.worker.ts";

export type RemoteDesk = Remote<DeskService>;

/** A worker for one shop's catalogue. End it with `close`. */
interface StartedDesk {
  desk: RemoteDesk;
  close(): void;
}

/** A worker that was started before the view that uses it had loaded. */
let ahead: { address: string; started: StartedDesk } | undefined;

function start(address: string): StartedDesk {
  const worker = new Worker(new URL("./desk.worker.ts", import.meta.url), { type: "module" });
  const desk = wrap<DeskService>(worker);
  void desk.prefetch(address);
  return { desk, close: () => worker.terminate() };
}

/** Starts the worker for a catalogue while the view that will call {@link startDesk} is still loading. */
export function startDeskAhead(address: string): void {
  ahead = { address, started: start(address) };
}

/** Starts a worker for the catalogue at an address, or returns the one started ahead. */
export function startDesk(address: string): StartedDesk {
  const early = ahead;
  ahead = undefined;
  if (early?.address === address) return early.started;
  early?.started.close();
  return start(address);
}
