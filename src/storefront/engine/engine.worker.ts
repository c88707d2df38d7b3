import type { WireAnswer } from "../../core/engine/answer.ts";
import type { LocalEngine } from "../../core/engine/local-engine.ts";
import type { WireQuestion } from "../../core/engine/question.ts";
import { openLocalEngine } from "./fetch-engine.ts";

export interface EngineRequest {
  id: number;
  /** Address of the catalogue; fetched with the first question. */
  data: string;
  question: WireQuestion;
}
export type EngineReply = { id: number; answer: WireAnswer } | { id: number; trouble: string };

let engine: Promise<LocalEngine> | undefined;

/** Counts in a worker, so that a large catalogue never blocks a scroll or a click. */
addEventListener("message", async ({ data: { id, data, question } }: MessageEvent<EngineRequest>) => {
  try {
    engine ??= openLocalEngine(data);
    const has = new Set(question.has);
    postMessage({ id, answer: (await engine).answer(question, (name) => has.has(name)) } satisfies EngineReply);
  } catch (error) {
    engine = undefined;
    postMessage({ id, trouble: (error as Error).message } satisfies EngineReply);
  }
});
