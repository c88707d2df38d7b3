import type { WireAnswer } from "../../core/engine/answer.ts";
import type { LocalEngine } from "../../core/engine/local-engine.ts";
import type { WireQuestion } from "../../core/engine/question.ts";
import { openLocalEngine } from "./fetch-engine.ts";

export interface EngineRequest {
  id: number;
  /** Where the catalogue is; fetched with the first question. */
  data: string;
  question: WireQuestion;
}
export type EngineReply = { id: number; answer: WireAnswer } | { id: number; trouble: string };

let engine: Promise<LocalEngine> | undefined;

/** Counts away from the page, so that a large catalogue never holds up a scroll or a click. */
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
