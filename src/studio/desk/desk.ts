import { LRUCache } from "lru-cache";
import { decodeCatalogue } from "../../core/catalogue/binary.ts";
import { type Catalogue, firstValue, productCount, valuesOf, variantCount } from "../../core/catalogue/catalogue.ts";
import { isNested } from "../../core/catalogue/field-kinds.ts";
import { identity } from "../../core/catalogue/identity.ts";
import { applyMends, mendedProducts, variantName } from "../../core/catalogue/mend/apply.ts";
import type { Mend } from "../../core/catalogue/mend/mend-schema.ts";
import type { WireAnswer } from "../../core/engine/answer.ts";
import { countsOf } from "../../core/engine/engine.ts";
import { CatalogueIndex } from "../../core/engine/index/catalogue-index.ts";
import type { Facet, Selection, WireQuestion } from "../../core/engine/question.ts";
import { findVariants, type VariantQuery } from "../../core/engine/variants.ts";
import type { Finding } from "../../core/findings/finding.ts";
import type { Known } from "../../core/findings/findings.ts";
import type { PageFigures } from "../../core/findings/page/figures.ts";
import { type PageRef, pageList } from "../../core/page/page-list.ts";
import type { PagesDocument } from "../../core/page/pages-schema.ts";
import { type ShownPage, shownPage } from "../../core/page/shown-page.ts";
import { targetOf } from "../../core/page/target.ts";
import { withCollections } from "../../core/page/with-collections.ts";
import { engineFacets, facetRows } from "../../core/panel/panel.ts";
import type { PanelDocument } from "../../core/panel/panel-schema.ts";
import type { FilledRecipe } from "../../core/panel/suggest/recipes.ts";
import type { FieldDetail } from "../../core/profile/field-detail.ts";
import { LocalFacts } from "../../core/profile/local-facts.ts";
import type { ModeExample } from "../../core/profile/mode-example.ts";
import type { FieldProfile } from "../../core/profile/profile.ts";
import type { CarryMatch, CarryTarget, ImportedPanel } from "../../core/reconcile/import-panel.ts";
import { leftOut, waysOfReach } from "../../core/recount/of-facet.ts";
import {
  type CountedOptions,
  type CountedProducts,
  type RecountedProduct,
  recountOptions,
  recountProducts,
} from "../../core/recount/recount.ts";
import { isSafePicture } from "../../core/sanitize/safe-address.ts";

/** Data about a catalogue before any question. */
export interface Overview {
  products: number;
  variants: number;
  profiles: readonly FieldProfile[];
  /** By correction id, the number of products it changes. */
  mended: Record<string, number>;
}

/** One variant for a table. */
export interface VariantRow {
  product: string;
  /** The variant's name in corrections. */
  variant: string;
  /** Values of the requested fields, in order. */
  cells: string[][];
}

/** Number of cached orders of variants, by query. */
const keptOrders = 4;

/** A shop's catalogue in a worker: corrected, indexed and queried there, so that the page never waits for it. */
export class Desk {
  /** The imported catalogue, and the facts of the corrected one. */
  #open: { source: Catalogue; facts: LocalFacts } | undefined;
  #collections: PagesDocument["collections"] = [];
  #figures: { state: string; pages: Map<string, PageFigures> } = { state: "", pages: new Map() };
  #orders = new LRUCache<string, Uint32Array>({ max: keptOrders });

  /** Opens a catalogue in binary form, replacing an open one. @throws BinaryError */
  open(bytes: Uint8Array, mends: readonly Mend[], collections: PagesDocument["collections"]): Overview {
    return this.#mend(decodeCatalogue(bytes), mends, collections);
  }

  /** @throws Error while no catalogue is open */
  get #opened(): { source: Catalogue; facts: LocalFacts } {
    if (!this.#open) throw new Error("The catalogue isn’t loaded yet. Try again in a moment.");
    return this.#open;
  }

  get #facts(): LocalFacts {
    return this.#opened.facts;
  }

  /**
   * Applies these corrections to the imported catalogue, replacing the previous ones, with the shop's present
   * collections.
   */
  mend(mends: readonly Mend[], collections = this.#collections): Overview {
    return this.#mend(this.#opened.source, mends, collections);
  }

  #mend(source: Catalogue, mends: readonly Mend[], collections: PagesDocument["collections"]): Overview {
    this.#collections = collections;
    const mended = mends.length > 0 ? applyMends(source, mends) : source;
    this.#open = { source, facts: new LocalFacts(new CatalogueIndex(withCollections(mended, { collections }))) };
    this.#orders.clear();
    this.#figures = { state: "", pages: new Map() };
    return this.#overview(source, mends);
  }

  #overview(source: Catalogue, mends: readonly Mend[]): Overview {
    const { catalogue } = this.#facts.index;
    const mended: Record<string, number> = {};
    let before = source;
    for (const mend of mends) {
      mended[mend.id] = mendedProducts(before, mend);
      before = applyMends(before, [mend]);
    }
    return {
      products: productCount(catalogue),
      variants: variantCount(catalogue),
      profiles: this.#facts.profiles(),
      mended,
    };
  }

  /** Everything about one field; undefined if there is none with this key. */
  detail(key: string): FieldDetail | undefined {
    return this.#facts.detail(key);
  }

  modeExample(facet: Facet): ModeExample | undefined {
    return this.#facts.modeExample(facet);
  }

  async findings(panel: PanelDocument, selection: Selection, known: Known): Promise<Finding[]> {
    const { findFindings } = await import("../../core/findings/findings.ts");
    return findFindings(this.#facts, panel, selection, known);
  }

  /** Ways to start a panel, filled with the shop's fields. */
  async recipes(): Promise<FilledRecipe[]> {
    const { fillRecipes } = await import("../../core/panel/suggest/recipes.ts");
    return fillRecipes(this.#facts.index);
  }

  /** For each facet of a panel from another shop, the most similar field here. */
  async matchFacets(panel: PanelDocument): Promise<CarryMatch[]> {
    const { matchFacets } = await import("../../core/reconcile/import-panel.ts");
    return matchFacets(
      panel,
      this.#facts.profiles().map((profile) => this.#target(profile)),
    );
  }

  /** A panel from another shop adapted to this shop's fields. */
  async carryPanel(panel: PanelDocument, to: ReadonlyMap<string, string>): Promise<ImportedPanel> {
    const { importPanel } = await import("../../core/reconcile/import-panel.ts");
    return importPanel(panel, to, (field) => {
      const profile = this.#facts.profile(field);
      return profile && this.#target(profile);
    });
  }

  #target(profile: FieldProfile): CarryTarget {
    const { options } = this.#facts.index.options(profile.field.key, isNested(profile.field));
    return { profile, values: new Set(options.map(({ id }) => id)) };
  }

  /** The page at an address, with its layout; undefined if there is none. @param first the shop's first panel */
  page(address: string, pages: PagesDocument, first: string | undefined): ShownPage | undefined {
    return shownPage(address, pages, this.#facts.pageFacts(), first);
  }

  /** The page that receives a panel's choices. */
  target(panel: Pick<PanelDocument, "behaviour">, pages: PagesDocument): ReturnType<typeof targetOf> {
    return targetOf(panel, pages, this.#facts.pageFacts());
  }

  /**
   * Figures of pages, cached while their inputs are unchanged.
   * @param panels every panel of the shop by slug, in order
   */
  async figures(
    addresses: readonly string[],
    pages: PagesDocument,
    panels: ReadonlyMap<string, PanelDocument>,
  ): Promise<PageFigures[]> {
    const state = JSON.stringify([pages, [...panels]]);
    if (this.#figures.state !== state) this.#figures = { state, pages: new Map() };
    const known = this.#figures.pages;
    const { pageFigures } = await import("../../core/findings/page/figures.ts");
    for (const address of addresses) {
      if (known.has(address)) continue;
      const figures = await pageFigures(this.#facts, address, pages, panels);
      if (figures) known.set(address, figures);
    }
    return addresses.flatMap((address) => known.get(address) ?? []);
  }

  /** Every page of the shop. */
  pageList(pages: PagesDocument): PageRef[] {
    return pageList(pages, this.#facts.pageFacts());
  }

  /** The products behind a number: of several ways to count it, the one that finds the fewest. */
  recountProducts(ways: readonly CountedProducts[]): RecountedProduct[] {
    const { catalogue } = this.#facts.index;
    return ways
      .map((way) => recountProducts(catalogue, way))
      .reduce((fewest, one) => (one.length < fewest.length ? one : fewest));
  }

  /** How to recount a facet's figures on a page: its reach, and its missing options. */
  async countedOnPage(
    address: string,
    pages: PagesDocument,
    panel: PanelDocument,
    row: string,
  ): Promise<{ reach: CountedProducts[]; left: CountedOptions } | undefined> {
    const page = shownPage(address, pages, this.#facts.pageFacts(), undefined);
    const facetRow = facetRows(panel).find(({ id }) => id === row);
    const facet = engineFacets(panel, "wide").find(({ field }) => field === facetRow?.field);
    if (!page || !facetRow || !facet) return undefined;
    const found = this.#facts.ask(countsOf([facet], undefined, page.within)).facets[facet.field];
    return found && { reach: waysOfReach(facetRow, facet, found, page), left: leftOut(facetRow, facet, found, page) };
  }

  recountOptions(counted: CountedOptions): ReturnType<typeof recountOptions> {
    return recountOptions(this.#facts.index.catalogue, counted);
  }

  answer(question: WireQuestion): WireAnswer {
    const has = new Set(question.has);
    return this.#facts.engine.answer(question, (name) => has.has(name));
  }

  /** Number of variants found by a query, and of their products. */
  count(query: VariantQuery): { variants: number; products: number } {
    const variants = this.#variants(query);
    const { productOf } = this.#facts.index;
    return { variants: variants.length, products: new Set(variants.map((variant) => productOf[variant] ?? 0)).size };
  }

  /** A section of the variants found by a query. */
  rows(query: VariantQuery, from: number, size: number, keys: readonly string[]): VariantRow[] {
    const { catalogue, productOf } = this.#facts.index;
    return Array.from(this.#variants(query).subarray(from, from + size), (variant) => {
      const product = productOf[variant] ?? 0;
      return {
        product: catalogue.productIds[product] ?? "",
        variant: variantName(catalogue, variant, variant - (catalogue.variantStart[product] ?? 0)),
        cells: keys.map((key) => valuesOf(catalogue, key, variant)),
      };
    });
  }

  /** Ids of the products found by a query. */
  products(query: VariantQuery): string[] {
    const { catalogue, productOf } = this.#facts.index;
    const products = new Set(Array.from(this.#variants(query), (variant) => productOf[variant] ?? 0));
    return [...products].map((product) => catalogue.productIds[product] ?? "");
  }

  #variants(query: VariantQuery): Uint32Array {
    const name = JSON.stringify(query);
    const order = this.#orders.get(name) ?? findVariants(this.#facts.index, query);
    this.#orders.set(name, order);
    return order;
  }

  /** Pictures of products that state a field, with the identities of their values. @param most maximum number */
  pictures(key: string, most: number): { address: string; values: string[] }[] {
    const { catalogue } = this.#facts.index;
    const image = catalogue.fields.find(({ role }) => role === "image");
    if (!image) return [];
    const found = new Map<string, Set<string>>();
    for (let v = 0; v < variantCount(catalogue); v++) {
      const address = firstValue(catalogue, image.key, v);
      const values = valuesOf(catalogue, key, v);
      if (address === undefined || !isSafePicture(address) || values.length === 0) continue;
      const known = found.get(address) ?? new Set<string>();
      for (const value of values) known.add(identity(value));
      found.set(address, known);
    }
    return [...found].slice(0, most).map(([address, values]) => ({ address, values: [...values] }));
  }
}
