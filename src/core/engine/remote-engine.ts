import type { Answer, SteadyFacet, WireAnswer } from "./answer.ts";
import { completeAnswer, type Engine, facetName, pageKey } from "./engine.ts";
import type { Question, WireQuestion } from "./question.ts";

/** An engine that computes elsewhere: in a worker or on the server. */
export class RemoteEngine implements Engine {
  #send: (question: WireQuestion) => Promise<WireAnswer>;
  /** Unchanging parts by page and facet. */
  #steady = new Map<string, Map<string, SteadyFacet>>();

  /** @param send sends a question and returns the answer */
  constructor(send: (question: WireQuestion) => Promise<WireAnswer>) {
    this.#send = send;
  }

  /** Remembers the unchanging parts of an answer obtained elsewhere, so that they are not sent again. */
  learn(question: Question, { facets }: Answer): void {
    const known = this.#knownOf(question);
    for (const facet of question.facets) {
      const answer = Object.hasOwn(facets, facet.field) ? facets[facet.field] : undefined;
      if (!answer) continue;
      const { counts, range, ...rest } = answer;
      known.set(facetName(facet), { ...rest, counts: counts.steady, range: range?.steady });
    }
  }

  #knownOf(question: Question): Map<string, SteadyFacet> {
    const page = pageKey(question);
    const known = this.#steady.get(page) ?? new Map<string, SteadyFacet>();
    this.#steady.set(page, known);
    return known;
  }

  async ask(question: Question): Promise<Answer> {
    const known = this.#knownOf(question);
    const has = question.facets.map(facetName).filter((name) => known.has(name));
    const wire = await this.#send({ ...question, has });
    for (const facet of question.facets) {
      const steady = wire.facets[facet.field]?.steady;
      if (steady) known.set(facetName(facet), steady);
    }
    return completeAnswer(wire, question, (facet) => known.get(facetName(facet)));
  }
}

/** A `JSON.stringify` replacer that turns typed arrays into plain ones. */
export const plainCounts = (_key: string, value: unknown): unknown =>
  ArrayBuffer.isView(value) ? Array.from(value as Uint32Array) : value;

/** An answer for JSON. */
export const jsonAnswer = (answer: WireAnswer): string => JSON.stringify(answer, plainCounts);
