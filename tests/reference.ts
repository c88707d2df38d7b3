import type { Catalogue } from "../src/core/catalogue/catalogue.ts";
import type { Choices, Clause, Condition, Facet } from "../src/core/engine/question.ts";

/**
 * The definition of a match, written out product by product and as plainly as it reads, with none of
 * the engine's code: every number of the engine is held against this.
 */
export class Reference {
  readonly catalogue: Catalogue;
  #byVariant: Map<string, boolean>;

  constructor(catalogue: Catalogue) {
    this.catalogue = catalogue;
    this.#byVariant = new Map(catalogue.fields.map((field) => [field.key, this.#disagrees(field.key)]));
  }

  isVariantLevel(field: string): boolean {
    return this.#byVariant.get(field) ?? false;
  }

  /** Numbers of the products that match. */
  matching(facets: readonly Facet[], choices: Choices, within: readonly Clause[] = []): number[] {
    return this.catalogue.productIds.flatMap((_, p) => (this.matches(p, facets, choices, within) ? [p] : []));
  }

  matches(product: number, facets: readonly Facet[], choices: Choices, within: readonly Clause[] = []): boolean {
    const chosen = facets.filter((facet) => choices[facet.field]);
    const variants = this.variantsOf(product);
    const ofProduct = chosen.filter(({ field }) => !this.isVariantLevel(field));
    if (!ofProduct.every((facet) => this.holdsAlone(variants[0], facet, choices))) return false;
    const together = chosen.filter(({ field, mode }) => this.isVariantLevel(field) && mode !== "all");
    const fits = (variant: number) =>
      together.every((facet) => this.holdsAlone(variant, facet, choices)) &&
      within.every((clause) => clause.some((condition) => this.satisfies(product, variant, condition)));
    if (!variants.some(fits)) return false;
    const each = chosen.filter(({ field, mode }) => this.isVariantLevel(field) && mode === "all");
    return each.every(({ field, mode }) =>
      this.#options(choices, field).every((option) =>
        variants.some((variant) => fits(variant) && this.stated(variant, field, mode === "tree").has(option)),
      ),
    );
  }

  /** The variants of a product that satisfy what is chosen of variants, and what the page asks. */
  matchingVariants(product: number, facets: readonly Facet[], choices: Choices, within: readonly Clause[]): number[] {
    const together = facets.filter(({ field, mode }) => choices[field] && this.isVariantLevel(field) && mode !== "all");
    return this.variantsOf(product).filter(
      (variant) =>
        together.every((facet) => this.holdsAlone(variant, facet, choices)) &&
        within.every((clause) => clause.some((condition) => this.satisfies(product, variant, condition))),
    );
  }

  /** Whether a variant satisfies a standing condition; one over a product-level field is judged on the product. */
  satisfies(product: number, variant: number, condition: Condition): boolean {
    if ("products" in condition) return condition.products.includes(this.catalogue.productIds[product]);
    if ("words" in condition) throw new Error("Words are not part of the definition.");
    const judged = this.isVariantLevel(condition.field) ? variant : this.variantsOf(product)[0];
    const { field } = condition;
    if (!("options" in condition)) return this.holdsAlone(judged, { field, mode: "range" }, { [field]: condition });
    const stated = this.stated(judged, field, field === "category");
    return condition.options.some((option) => stated.has(option));
  }

  variantsOf(product: number): number[] {
    const { variantStart } = this.catalogue;
    return Array.from(
      { length: variantStart[product + 1] - variantStart[product] },
      (_, i) => variantStart[product] + i,
    );
  }

  /** Identities that a variant states; with `tree` also those of the categories above. */
  stated(variant: number, field: string, tree: boolean): Set<string> {
    const values = this.#cells(variant, field).map((text) =>
      text.normalize("NFC").trim().replace(/\s+/g, " ").toLowerCase(),
    );
    if (!tree) return new Set(values);
    return new Set(
      values.flatMap((path) => path.split(" > ").map((_, depth, levels) => levels.slice(0, depth + 1).join(" > "))),
    );
  }

  /** Whether one variant satisfies one facet. */
  holdsAlone(variant: number, { field, mode }: Facet, choices: Choices): boolean {
    const choice = choices[field];
    if (mode === "range") {
      const { min = Number.NEGATIVE_INFINITY, max = Number.POSITIVE_INFINITY } = choice as {
        min?: number;
        max?: number;
      };
      return this.#cells(variant, field).some((text) => text !== "" && Number(text) >= min && Number(text) <= max);
    }
    const stated = this.stated(variant, field, mode === "tree");
    const options = this.#options(choices, field);
    return mode === "all"
      ? options.every((option) => stated.has(option))
      : options.some((option) => stated.has(option));
  }

  #options(choices: Choices, field: string): string[] {
    const choice = choices[field];
    return choice && "options" in choice ? choice.options : [];
  }

  #cells(variant: number, field: string): string[] {
    const column = this.catalogue.columns.get(field);
    if (!column) return [];
    return Array.from(
      column.codes.slice(column.starts[variant], column.starts[variant + 1]),
      (code) => column.spellings[code],
    );
  }

  #disagrees(field: string): boolean {
    if (["price", "list-price", "stock", "sku", "availability", "on-sale"].includes(field)) return true;
    return this.catalogue.productIds.some(
      (_, p) => new Set(this.variantsOf(p).map((v) => [...this.stated(v, field, false)].sort().join("|"))).size > 1,
    );
  }
}
