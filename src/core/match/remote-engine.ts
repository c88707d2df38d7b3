import type { Answer, SteadyFacet, WireAnswer } from "./answer.ts";
import { completeAnswer, type Engine, facetName } from "./engine.ts";
import type { Question, WireQuestion } from "./question.ts";

/** The engine of which the work is done elsewhere: in a worker or on the server. */
export class RemoteEngine implements Engine {
  #send: (question: WireQuestion) => Promise<WireAnswer>;
  #steady = new Map<string, SteadyFacet>();

  /** @param send takes a question to where the work is done and brings the answer */
  constructor(send: (question: WireQuestion) => Promise<WireAnswer>) {
    this.#send = send;
  }

  async ask(question: Question): Promise<Answer> {
    const has = question.facets.map(facetName).filter((name) => this.#steady.has(name));
    const wire = await this.#send({ ...question, has });
    for (const facet of question.facets) {
      const steady = wire.facets[facet.field]?.steady;
      if (steady) this.#steady.set(facetName(facet), steady);
    }
    return completeAnswer(wire, question, (facet) => this.#steady.get(facetName(facet)));
  }
}

/** An answer for JSON: typed arrays become plain ones. */
export const jsonAnswer = (answer: WireAnswer): string =>
  JSON.stringify(answer, (_key, value) => (ArrayBuffer.isView(value) ? Array.from(value as Uint32Array) : value));
