import { type Catalogue, firstValue, valuesOf } from "../catalogue/catalogue.ts";
import { isAlwaysVariant } from "../catalogue/field.ts";
import { isNested, toNumber } from "../catalogue/field-kinds.ts";
import type { Field } from "../catalogue/field-schema.ts";
import { identity, spelling } from "../catalogue/identity.ts";
import { holds } from "../catalogue/numbers/range.ts";
import { prefixes } from "../catalogue/path.ts";
import type { SearchedField } from "../engine/index/search-schema.ts";
import { weightOf } from "../engine/index/text-index.ts";
import { words } from "../engine/index/words.ts";
import type { Choice, Clause, Condition, Facet } from "../engine/question.ts";

/** Conditions that a product must meet to be counted. */
export interface Asked {
  /** Conditions of the page. */
  within: readonly Clause[];
  facets: readonly Facet[];
  choices: Readonly<Record<string, Choice>>;
  text: string;
  searching?: readonly SearchedField[] | undefined;
}

/**
 * The rows of a catalogue, read one by one without any of the engine's code: no index, bitmap or posting list. Slow
 * but simple, so that the engine's numbers can be checked against it.
 */
export class Rows {
  #catalogue: Catalogue;
  #fields: ReadonlyMap<string, Field>;
  #isVariant = new Map<string, boolean>();

  constructor(catalogue: Catalogue) {
    this.#catalogue = catalogue;
    this.#fields = new Map(catalogue.fields.map((field) => [field.key, field]));
  }

  /** Whether a product meets the conditions. */
  matches(product: number, { within, facets, choices, text, searching }: Asked): boolean {
    const chosen = facets.flatMap((facet) => {
      const choice = Object.hasOwn(choices, facet.field) ? choices[facet.field] : undefined;
      return choice ? [{ facet, choice }] : [];
    });
    const variants = this.variantsOf(product);
    const first = variants[0] ?? 0;
    const ofVariants = chosen.filter(({ facet }) => this.#isOfVariants(facet.field));
    const ofProduct = chosen.filter((one) => !ofVariants.includes(one));
    if (!ofProduct.every(({ facet, choice }) => this.#holds(first, facet, choice))) return false;
    if (!this.#hasWords(product, text, searching)) return false;
    const together = ofVariants.filter(({ facet }) => facet.mode !== "all");
    const fits = (variant: number) =>
      together.every(({ facet, choice }) => this.#holds(variant, facet, choice)) &&
      within.every((clause) => clause.some((condition) => this.#satisfies(product, variant, condition, searching)));
    const fitting = variants.filter(fits);
    if (fitting.length === 0) return false;
    // Several all-of options may be stated by different variants.
    return ofVariants
      .filter(({ facet }) => facet.mode === "all")
      .every(({ facet, choice }) =>
        optionsIn(choice).every((option) => fitting.some((variant) => this.#stated(variant, facet).has(option))),
      );
  }

  variantsOf(product: number): number[] {
    const { variantStart } = this.#catalogue;
    const start = variantStart[product] ?? 0;
    return Array.from({ length: (variantStart[product + 1] ?? 0) - start }, (_, i) => start + i);
  }

  /** Whether a product has a value of a field. */
  states(product: number, field: string): boolean {
    return this.variantsOf(product).some((variant) => firstValue(this.#catalogue, field, variant) !== undefined);
  }

  #satisfies(product: number, variant: number, condition: Condition, searching: Asked["searching"]): boolean {
    if ("products" in condition) return condition.products.includes(this.#catalogue.productIds[product] ?? "");
    if ("words" in condition) return this.#hasWords(product, condition.words, searching);
    const field = this.#fields.get(condition.field);
    if (!field) return false;
    const judged = this.#isOfVariants(field.key) ? variant : (this.variantsOf(product)[0] ?? 0);
    const mode = !("options" in condition) ? "range" : isNested(field) ? "tree" : "any";
    return this.#holds(judged, { field: field.key, mode }, condition);
  }

  /** Whether one variant meets a choice. */
  #holds(variant: number, facet: Facet, choice: Choice): boolean {
    if (!("options" in choice)) {
      const { kind = "text" } = this.#fields.get(facet.field) ?? {};
      const numbers = valuesOf(this.#catalogue, facet.field, variant).map((text) => toNumber(text, kind));
      return numbers.some((value) => !Number.isNaN(value) && holds(choice, value));
    }
    const stated = this.#stated(variant, facet);
    return facet.mode === "all"
      ? choice.options.every((option) => stated.has(option))
      : choice.options.some((option) => stated.has(option));
  }

  /** The options that a variant states; in a tree including all ancestors. */
  #stated(variant: number, { field, mode, merges = [] }: Facet): Set<string> {
    return new Set(
      valuesOf(this.#catalogue, field, variant).flatMap((text) => {
        const id = identity(text);
        const merge = merges.find(({ values }) => values.includes(id));
        if (merge) return [identity(spelling(merge.label))];
        return mode === "tree" ? prefixes(text).map(identity) : [id];
      }),
    );
  }

  /** Whether a product has every search word in a searched field; the last word may be a prefix. */
  #hasWords(product: number, text: string, searching: Asked["searching"]): boolean {
    const asked = words(text);
    if (asked.length === 0) return true;
    const own = this.#catalogue.fields
      .filter((field) => weightOf(field, searching) > 0)
      .flatMap(({ key }) =>
        this.variantsOf(product).flatMap((variant) => valuesOf(this.#catalogue, key, variant).flatMap(words)),
      );
    return asked.every((word, at) =>
      own.some((one) => (at === asked.length - 1 ? one.startsWith(word) : one === word)),
    );
  }

  /** Whether a field is variant-level: some product's variants differ, or its definition says so. */
  #isOfVariants(key: string): boolean {
    const known = this.#isVariant.get(key);
    if (known !== undefined) return known;
    const field = this.#fields.get(key);
    const said = field && (isAlwaysVariant(field.role) ? "variant" : field.level);
    const stated = (variant: number) => JSON.stringify([...this.#stated(variant, { field: key, mode: "any" })].sort());
    const is =
      said !== undefined
        ? said === "variant"
        : this.#catalogue.productIds.some((_, product) => {
            const variants = this.variantsOf(product);
            return variants.length > 1 && new Set(variants.map(stated)).size > 1;
          });
    this.#isVariant.set(key, is);
    return is;
  }
}

const optionsIn = (choice: Choice): readonly string[] => ("options" in choice ? choice.options : []);
