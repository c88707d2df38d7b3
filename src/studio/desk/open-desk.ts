import { type Remote, wrap } from "comlink";
import type { DeskService } from "./desk.worker.ts";

export type RemoteDesk = Remote<DeskService>;

/** Starts a worker for one shop's catalogue. End it with `close`. */
export function startDesk(): { desk: RemoteDesk; close(): void } {
  const worker = new Worker(new URL("./desk.worker.ts", import.meta.url), { type: "module" });
  return { desk: wrap<DeskService>(worker), close: () => worker.terminate() };
}
