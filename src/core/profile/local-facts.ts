import type { Range } from "../catalogue/numbers/range-schema.ts";
import { spreadSample } from "../catalogue/sample.ts";
import type { Answer } from "../engine/answer.ts";
import type { CatalogueIndex } from "../engine/index/catalogue-index.ts";
import { LocalEngine } from "../engine/local-engine.ts";
import type { Facet, Question } from "../engine/question.ts";
import { agreement, valueCodes } from "./agreement.ts";
import type { Facts } from "./facts.ts";
import { detailField, type FieldDetail } from "./field-detail.ts";
import { deadPairs, type ModeExample, modeExample, type PairCount } from "./mode-example.ts";
import { type FieldProfile, profileField } from "./profile.ts";
import type { PageFacts } from "./value-pages.ts";

/** Maximum number of products used to compare fields. */
const maxCompared = 5000;

/** The facts of a local catalogue, each computed on first use. */
export class LocalFacts implements Facts {
  readonly index: CatalogueIndex;
  readonly engine: LocalEngine;
  #pageFacts: PageFacts | undefined;
  #said = new Map<string, Int32Array>();
  #agreements = new Map<string, number>();
  #profiles: readonly FieldProfile[] | undefined;

  constructor(index: CatalogueIndex, engine: LocalEngine = new LocalEngine(index)) {
    this.index = index;
    this.engine = engine;
  }

  ask(question: Question): Answer {
    return this.engine.ask(question);
  }

  profiles(): readonly FieldProfile[] {
    this.#profiles ??= this.index.catalogue.fields.map((field) => profileField(this.index, field));
    return this.#profiles;
  }

  variantCount(): number {
    return this.index.variants;
  }

  pageFacts(): PageFacts {
    this.#pageFacts ??= {
      fields: this.index.catalogue.fields,
      optionsOf: (key) => this.index.allOptions(key),
    };
    return this.#pageFacts;
  }

  profile(key: string): FieldProfile | undefined {
    return this.profiles().find(({ field }) => field.key === key);
  }

  detail(key: string): FieldDetail | undefined {
    const field = this.index.field(key);
    return field && detailField(this.index, field);
  }

  modeExample(facet: Pick<Facet, "field" | "merges">): ModeExample | undefined {
    return this.index.field(facet.field) && modeExample(this.index, facet);
  }

  deadPairs(facet: Pick<Facet, "field" | "merges">): PairCount {
    return this.index.field(facet.field) ? deadPairs(this.index, facet) : { pairs: 0, dead: 0 };
  }

  outside(key: string, { min = Number.NEGATIVE_INFINITY, max = Number.POSITIVE_INFINITY }: Range): number {
    if (!this.index.field(key)) return 0;
    const { starts, values, level } = this.index.numbers(key);
    const { productOf } = this.index;
    const found = new Set<number | undefined>();
    for (let record = 0; record + 1 < starts.length; record++) {
      const own = values.subarray(starts[record], starts[record + 1]);
      if (own.some((value) => value < min || value > max)) found.add(level === "variant" ? productOf[record] : record);
    }
    return found.size;
  }

  agreement(field: string, other: string): number {
    const name = [field, other].sort().join("\n");
    const known = this.#agreements.get(name);
    if (known !== undefined) return known;
    const share = agreement(this.#saidOf(field), this.#saidOf(other));
    this.#agreements.set(name, share);
    return share;
  }

  /** The values of a sample of products, spread evenly over the catalogue. */
  #saidOf(key: string): Int32Array {
    const known = this.#said.get(key);
    if (known) return known;
    const field = this.index.field(key);
    const codes = field ? valueCodes(this.index.catalogue, field) : new Int32Array();
    const said = Int32Array.from(spreadSample([...codes], maxCompared));
    this.#said.set(key, said);
    return said;
  }

  variantsStating(key: string, option: string): number {
    if (!this.index.field(key)) return 0;
    const { at, level, postings } = this.index.options(key);
    const place = at.get(option);
    if (place === undefined || level !== "variant") return 0;
    return (postings.starts[place + 1] ?? 0) - (postings.starts[place] ?? 0);
  }
}
