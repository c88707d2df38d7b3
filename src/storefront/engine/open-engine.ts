import type { WireAnswer } from "../../core/match/answer.ts";
import type { Engine } from "../../core/match/engine.ts";
import type { WireQuestion } from "../../core/match/question.ts";
import { RemoteEngine } from "../../core/match/remote-engine.ts";
import type { Boot } from "../shop/boot.ts";
import type { EngineReply, EngineRequest } from "./engine.worker.ts";

/** Opens the engine of a page, wherever its work is done; the rest of the page does not know. */
export async function openEngine({ engine, data, ask }: Pick<Boot, "engine" | "data" | "ask">): Promise<Engine> {
  if (engine === "server") return new RemoteEngine((question) => askServer(ask, question));
  if (engine === "worker") return openWorker(data);
  // Only pages that count for themselves fetch the code that counts.
  const { openLocalEngine } = await import("./fetch-engine.ts");
  return openLocalEngine(data);
}

async function askServer(address: string, question: WireQuestion): Promise<WireAnswer> {
  const response = await fetch(address, {
    method: "POST",
    headers: { "content-type": "application/json" },
    body: JSON.stringify(question),
  });
  if (!response.ok) throw new Error(`The shop did not answer (${response.status}).`);
  return response.json();
}

function openWorker(data: string): Engine {
  const worker = new Worker(new URL("./engine.worker.ts", import.meta.url), { type: "module" });
  const waiting = new Map<number, { done(answer: WireAnswer): void; failed(error: Error): void }>();
  let turn = 0;
  worker.addEventListener("message", ({ data: reply }: MessageEvent<EngineReply>) => {
    const asker = waiting.get(reply.id);
    waiting.delete(reply.id);
    if ("answer" in reply) asker?.done(reply.answer);
    else asker?.failed(new Error(reply.trouble));
  });
  return new RemoteEngine(
    (question) =>
      new Promise((done, failed) => {
        waiting.set(++turn, { done, failed });
        worker.postMessage({ id: turn, data: new URL(data, location.href).href, question } satisfies EngineRequest);
      }),
  );
}
