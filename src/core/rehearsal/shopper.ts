import type { CatalogueIndex } from "../engine/index/catalogue-index.ts";
import { type Assumptions, assumed, knownShare } from "./assumptions.ts";
import { seededInteger, seededRandom } from "./seeded-random.ts";

/** The product that a shopper wants: one of its variants, by catalogue numbers. */
export interface ProductVariant {
  product: number;
  variant: number;
}

/** A trial shopper: the wanted product, and what is known of it. */
export interface Shopper {
  /** From 0; the same number is the same shopper, whatever panel is tested. */
  n: number;
  target: ProductVariant;
  /** The variant whose value of a field the shopper believes in: usually the target's; undefined if unknown. */
  believes(field: string): ProductVariant | undefined;
}

/** The products that shoppers want, by number, with their weights. */
export interface Targets {
  products: Uint32Array;
  /** Cumulative weights of the products. */
  upTo: Float64Array;
}

/** Weights of targets: equal, by number of reviews, or by real visits. */
export type Weighing = "even" | "reviews" | ReadonlyMap<string, number>;

/**
 * Weighs the products of a page; equally if all weights are 0.
 * @param products their numbers
 * @param weighing a map gives the weight by product id; other products weigh nothing
 */
export function targetsOf(index: CatalogueIndex, products: Uint32Array, weighing: Weighing): Targets {
  const weightOf = weightsOf(index, weighing);
  const upTo = new Float64Array(products.length);
  let sum = 0;
  products.forEach((product, at) => {
    sum += weightOf(product);
    upTo[at] = sum;
  });
  return sum > 0 ? { products, upTo } : { products, upTo: upTo.map((_, at) => at + 1) };
}

function weightsOf(index: CatalogueIndex, weighing: Weighing): (product: number) => number {
  if (weighing === "even") return () => 1;
  const { catalogue } = index;
  if (weighing !== "reviews") return (product) => weighing.get(catalogue.productIds[product] ?? "") ?? 0;
  const reviews = catalogue.fields.find(({ role }) => role === "reviews");
  if (!reviews) return () => 1;
  const { level, starts, values } = index.numbers(reviews.key);
  return (product) => {
    const record = level === "product" ? product : (catalogue.variantStart[product] ?? 0);
    const at = starts[record] ?? 0;
    // A product without reviews is wanted too.
    return 1 + (at < (starts[record + 1] ?? 0) ? Math.max(0, values[at] ?? 0) : 0);
  };
}

/**
 * Creates one shopper. Everything is drawn from the seed, the shopper's number and the field's name alone, so that the
 * same shopper can be sent through two panels.
 * @param products of the page, for mistaken beliefs
 */
export function shopperOf(
  index: CatalogueIndex,
  { products, upTo }: Targets,
  assumptions: Assumptions,
  seed: number,
  n: number,
): Shopper {
  const total = upTo.at(-1) ?? 0;
  const thing = (product: number, ...names: readonly (string | number)[]): ProductVariant => {
    const { variantStart } = index.catalogue;
    const first = variantStart[product] ?? 0;
    const count = (variantStart[product + 1] ?? first + 1) - first;
    return { product, variant: first + seededInteger(count, seed, n, ...names) };
  };
  const target = thing(products[placeOf(upTo, seededRandom(seed, n, "target") * total)] ?? 0, "variant");
  const { mistaken } = assumed(assumptions);
  return {
    n,
    target,
    believes(key) {
      const field = index.field(key);
      if (!field || seededRandom(seed, n, "knows", key) >= knownShare(field, assumptions)) return undefined;
      if (seededRandom(seed, n, "mistaken", key) >= mistaken) return target;
      return thing(products[seededInteger(products.length, seed, n, "instead", key)] ?? 0, "its variant", key);
    },
  };
}

/** The first index at which the cumulative sum exceeds a number. */
function placeOf(upTo: Float64Array, sum: number): number {
  let [low, high] = [0, Math.max(0, upTo.length - 1)];
  while (low < high) {
    const middle = (low + high) >> 1;
    if ((upTo[middle] ?? 0) > sum) high = middle;
    else low = middle + 1;
  }
  return low;
}
