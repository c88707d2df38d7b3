import type { WireAnswer } from "../../core/engine/answer.ts";
import type { Engine } from "../../core/engine/engine.ts";
import type { Question } from "../../core/engine/question.ts";
import { RemoteEngine } from "../../core/engine/remote-engine.ts";
import type { EngineReply, EngineRequest } from "./engine.worker.ts";

/**
 * Opens an engine in the page or in a worker, warmed up for a question like the given one.
 * @param data address of the catalogue
 * @throws Error if it could not be fetched or read
 */
export const openOwn = (place: "page" | "worker", data: string, question: Question): Promise<Engine> =>
  place === "worker" ? openWorker(data, question) : openHere(data, question);

// Only a page that counts in itself loads the engine's code.
const openHere = async (data: string, question: Question): Promise<Engine> =>
  (await import("./fetch-engine.ts")).openLocalEngine(data, question);

async function openWorker(data: string, question: Question): Promise<Engine> {
  const worker = new Worker(new URL("./engine.worker.ts", import.meta.url), { type: "module" });
  const waiting = new Map<number, { done(answer: WireAnswer): void; failed(error: Error): void }>();
  let turn = 0;
  worker.addEventListener("message", ({ data: reply }: MessageEvent<EngineReply>) => {
    const asker = waiting.get(reply.id);
    waiting.delete(reply.id);
    if ("answer" in reply) asker?.done(reply.answer);
    else asker?.failed(new Error(reply.trouble));
  });
  const failAll = () => {
    for (const { failed } of waiting.values()) failed(new Error("The worker that counts products has failed."));
    waiting.clear();
  };
  worker.addEventListener("error", failAll);
  worker.addEventListener("messageerror", failAll);
  const engine = new RemoteEngine(
    (asked) =>
      new Promise((done, failed) => {
        waiting.set(++turn, { done, failed });
        worker.postMessage({
          id: turn,
          data: new URL(data, location.href).href,
          question: asked,
        } satisfies EngineRequest);
      }),
  );
  try {
    await engine.ask(question);
  } catch (error) {
    worker.terminate();
    throw error;
  }
  return engine;
}
