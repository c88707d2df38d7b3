import { decodeCatalogue } from "../../core/catalogue/binary.ts";
import { type Catalogue, firstValue, productCount, valuesOf, variantCount } from "../../core/catalogue/catalogue.ts";
import type { Field } from "../../core/catalogue/field.ts";
import { identity } from "../../core/catalogue/identity.ts";
import { orderVariants } from "../../core/catalogue/variant-order.ts";
import { detailField, type FieldDetail } from "../../core/evidence/field-detail.ts";
import { type Finding, findFindings, type Measures } from "../../core/evidence/findings.ts";
import { type ModeExample, modeExample } from "../../core/evidence/mode-example.ts";
import { type FieldProfile, profileField } from "../../core/evidence/profile.ts";
import { intersect } from "../../core/index/bitmap.ts";
import { CatalogueIndex } from "../../core/index/catalogue-index.ts";
import { safeImage } from "../../core/listing/card.ts";
import type { WireAnswer } from "../../core/match/answer.ts";
import { LocalEngine } from "../../core/match/engine.ts";
import { Matcher } from "../../core/match/matcher.ts";
import type { WireQuestion } from "../../core/match/remote-engine.ts";
import type { Facet, Selection } from "../../core/match/selection.ts";
import { applyMends, mendedProducts, variantName } from "../../core/mend/apply.ts";
import type { Mend } from "../../core/mend/document.ts";
import type { PanelDocument } from "../../core/panel/document.ts";

/** What there is to know of a catalogue before anything is asked. */
export interface Overview {
  products: number;
  variants: number;
  profiles: FieldProfile[];
  /** By mend id, the products that it changes. */
  mended: Record<string, number>;
}

/** Which variants a table shows, and in which order. */
export interface VariantQuery {
  facets: readonly Facet[];
  selection: Selection;
  /** Field key; the catalogue's order when absent. */
  sort?: { field: string; down: boolean };
}

/** One variant as a table shows it. */
export interface VariantRow {
  product: string;
  /** What a mend calls it. */
  variant: string;
  /** Values of the asked fields, in their order. */
  cells: string[][];
}

const keptOrders = 4;

/** A shop's catalogue in a worker: mended, indexed and asked there, so that the page never waits for it. */
export class Desk {
  #source: Catalogue;
  #index: CatalogueIndex;
  #engine: LocalEngine;
  #mends: readonly Mend[] = [];
  #orders = new Map<string, Uint32Array>();

  constructor(source: Catalogue, mends: readonly Mend[]) {
    this.#source = source;
    this.#index = new CatalogueIndex(source);
    this.#engine = new LocalEngine(this.#index);
    if (mends.length > 0) this.mend(mends);
  }

  static open(bytes: Uint8Array, mends: readonly Mend[]): Desk {
    return new Desk(decodeCatalogue(bytes), mends);
  }

  /** Does these mends over the imported catalogue, in the place of those done before. */
  mend(mends: readonly Mend[]): void {
    this.#mends = mends;
    this.#index = new CatalogueIndex(applyMends(this.#source, mends));
    this.#engine = new LocalEngine(this.#index);
    this.#orders.clear();
  }

  overview(): Overview {
    const { catalogue } = this.#index;
    const mended: Record<string, number> = {};
    let before = this.#source;
    for (const mend of this.#mends) {
      mended[mend.id] = mendedProducts(before, mend);
      before = applyMends(before, [mend]);
    }
    return {
      products: productCount(catalogue),
      variants: variantCount(catalogue),
      profiles: catalogue.fields.map((field) => profileField(this.#index, field)),
      mended,
    };
  }

  /** All that there is to say about one field. @throws RangeError when there is none with this key */
  detail(key: string): FieldDetail {
    return detailField(this.#index, this.#field(key));
  }

  modeExample(facet: Facet): ModeExample | undefined {
    return this.#index.field(facet.field) && modeExample(this.#index, facet);
  }

  findings(panel: PanelDocument, selection: Selection, measures: Measures): Finding[] {
    return findFindings(this.#engine, panel, selection, measures);
  }

  answer(question: WireQuestion): WireAnswer {
    const has = new Set(question.has);
    return this.#engine.answer(question, (name) => has.has(name));
  }

  /** How many variants a query finds, and how many products they are of. */
  count(query: VariantQuery): { variants: number; products: number } {
    const variants = this.#variants(query);
    const { productOf } = this.#index;
    return { variants: variants.length, products: new Set(variants.map((variant) => productOf[variant])).size };
  }

  /** A stretch of the variants that a query finds. */
  rows(query: VariantQuery, from: number, size: number, keys: readonly string[]): VariantRow[] {
    const { catalogue, productOf } = this.#index;
    return Array.from(this.#variants(query).subarray(from, from + size), (variant) => {
      const product = productOf[variant];
      return {
        product: catalogue.productIds[product],
        variant: variantName(catalogue, variant, variant - catalogue.variantStart[product]),
        cells: keys.map((key) => valuesOf(catalogue, key, variant)),
      };
    });
  }

  /** Ids of the products that a query finds. */
  products(query: VariantQuery): string[] {
    const { catalogue, productOf } = this.#index;
    return [...new Set(this.#variants(query).map((variant) => productOf[variant]))].map((product) => catalogue.productIds[product]);
  }

  /** Variants that satisfy the choices themselves, of products that match. */
  #variants({ facets, selection, sort }: VariantQuery): Uint32Array {
    const name = JSON.stringify([facets, selection, sort]);
    let order = this.#orders.get(name);
    if (!order) {
      const found = this.#index.search(selection.text);
      const all = this.#index.allProducts();
      const matcher = new Matcher(this.#index, found ? intersect(all, found) : all, facets, selection.choices);
      const variants = matcher.variantIds();
      order = sort ? orderVariants(this.#index.catalogue, sort.field, variants, sort.down) : variants;
      for (const old of [...this.#orders.keys()].slice(0, -keptOrders)) this.#orders.delete(old);
      this.#orders.set(name, order);
    }
    return order;
  }

  /** Pictures of the products that state a field, with the identities of the values that each states; at most so many. */
  pictures(key: string, most: number): { address: string; values: string[] }[] {
    const { catalogue } = this.#index;
    const image = catalogue.fields.find(({ role }) => role === "image");
    if (!image) return [];
    const found = new Map<string, Set<string>>();
    for (let v = 0; v < variantCount(catalogue); v++) {
      const address = safeImage(firstValue(catalogue, image.key, v));
      const values = valuesOf(catalogue, key, v);
      if (!address || values.length === 0) continue;
      const known = found.get(address) ?? new Set<string>();
      for (const value of values) known.add(identity(value));
      found.set(address, known);
    }
    return [...found].slice(0, most).map(([address, values]) => ({ address, values: [...values] }));
  }

  #field(key: string): Field {
    const field = this.#index.field(key);
    if (!field) throw new RangeError(`There is no field “${key}” in this catalogue.`);
    return field;
  }
}
