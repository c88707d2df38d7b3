import type { Range } from "../catalogue/numbers/range-schema.ts";
import type { CatalogueIndex } from "../engine/index/catalogue-index.ts";
import { optionsOfRecord } from "../engine/index/forward.ts";
import { kept } from "../engine/index/kept.ts";
import type { LocalEngine, Look } from "../engine/local-engine.ts";
import type { Facet, Selection } from "../engine/question.ts";
import { emptySelection } from "../engine/selection.ts";
import { offeredOptions } from "../panel/offered.ts";
import type { Scene, SceneFacet } from "./scene.ts";
import type { ProductVariant } from "./shopper.ts";

/** Maximum number of cached selections: many shoppers begin in the same way. */
const maxKept = 4000;

/** A page's results for a selection. */
export interface Stand {
  total: number;
  /** Product numbers of the first cards. */
  first: ReadonlySet<number>;
  look: Look;
}

/** The results of a page by selection; all of them counted by the engine. */
export class PageResults {
  readonly index: CatalogueIndex;
  readonly scene: Scene;
  #engine: LocalEngine;
  #first: number;
  #kept = new Map<string, Stand>();
  #offered = new Map<string, ReadonlySet<number>>();

  /** @param first number of cards looked at */
  constructor(engine: LocalEngine, scene: Scene, first: number) {
    this.#engine = engine;
    this.index = engine.index;
    this.scene = scene;
    this.#first = first;
  }

  /** The numbers of all products of the page. */
  get products(): Uint32Array {
    return this.at(emptySelection).look.found();
  }

  at(selection: Selection): Stand {
    const make = (): Stand => {
      const look = this.#engine.look({
        within: this.scene.within,
        facets: this.scene.facets.map(({ facet }) => facet),
        selection,
        sort: this.scene.sort,
        from: 0,
        size: this.#first,
      });
      return { total: look.total, first: new Set(look.found().subarray(0, this.#first)), look };
    };
    return kept(this.#kept, JSON.stringify(selection), make, maxKept);
  }

  /** The options of a facet that a variant has, as indices among its options. */
  optionsOf(facet: Facet, { product, variant }: ProductVariant): number[] {
    const { level, forward, options } = this.index.options(facet.field, facet.mode === "tree", facet.merges);
    return optionsOfRecord(forward, level === "product" ? product : variant, options.length);
  }

  /** The indices of the options that a facet offers on the page, in display order. */
  offeredBy({ panel, row, facet, display, settings }: SceneFacet): ReadonlySet<number> {
    return kept(
      this.#offered,
      `${panel} ${row.id}`,
      () => {
        const { options, counts } = this.#engine.page(this.scene.within).steady(facet);
        return new Set(offeredOptions(row, { display, settings }, { options, counts: { steady: counts } }));
      },
      maxKept,
    );
  }

  optionAt(facet: Facet, option: number): { id: string; label: string } | undefined {
    return this.index.options(facet.field, facet.mode === "tree", facet.merges).options[option];
  }

  /** The number that a variant states for a field; undefined if none. */
  numberOf(field: string, { product, variant }: ProductVariant): number | undefined {
    const { level, starts, values } = this.index.numbers(field);
    const record = level === "product" ? product : variant;
    const at = starts[record] ?? 0;
    return at < (starts[record + 1] ?? 0) ? values[at] : undefined;
  }

  /** The ranges in which a facet is counted, and its ends over the whole page; see {@link SteadyFacet}. */
  rangesOf(facet: Facet): { ranges: readonly Range[]; least: number | undefined; most: number | undefined } {
    const { ranges, range } = this.#engine.page(this.scene.within).steady(facet);
    return { ranges, least: range?.min ?? undefined, most: range?.max ?? undefined };
  }
}
