import { type Remote, wrap } from "comlink";
import { workerFor } from "../ahead.ts";
import type { DeskService } from "./desk.worker.ts";

export type RemoteDesk = Remote<DeskService>;

/** Starts a worker for the catalogue at an address, or takes over the one started ahead. End it with `close`. */
export function startDesk(address: string): { desk: RemoteDesk; close(): void } {
  const worker = workerFor(address);
  return { desk: wrap<DeskService>(worker), close: () => worker.terminate() };
}
