import type { Answer, SteadyFacet, WireAnswer } from "./answer.ts";
import { completeAnswer, type Engine, facetName, pageKey } from "./engine.ts";
import type { Question, WireQuestion } from "./question.ts";

/** The engine of which the work is done elsewhere: in a worker or on the server. */
export class RemoteEngine implements Engine {
  #send: (question: WireQuestion) => Promise<WireAnswer>;
  /** By what a page asks of its products, and by facet. */
  #steady = new Map<string, Map<string, SteadyFacet>>();

  /** @param send takes a question to where the work is done and brings the answer */
  constructor(send: (question: WireQuestion) => Promise<WireAnswer>) {
    this.#send = send;
  }

  async ask(question: Question): Promise<Answer> {
    const page = pageKey(question);
    const known = this.#steady.get(page) ?? new Map<string, SteadyFacet>();
    this.#steady.set(page, known);
    const has = question.facets.map(facetName).filter((name) => known.has(name));
    const wire = await this.#send({ ...question, has });
    for (const facet of question.facets) {
      const steady = wire.facets[facet.field]?.steady;
      if (steady) known.set(facetName(facet), steady);
    }
    return completeAnswer(wire, question, (facet) => known.get(facetName(facet)));
  }
}

/** An answer for JSON: typed arrays become plain ones. */
export const jsonAnswer = (answer: WireAnswer): string =>
  JSON.stringify(answer, (_key, value) => (ArrayBuffer.isView(value) ? Array.from(value as Uint32Array) : value));
