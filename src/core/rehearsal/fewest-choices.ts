import { holds } from "../catalogue/numbers/range.ts";
import type { Range } from "../catalogue/numbers/range-schema.ts";
import type { LocalEngine } from "../engine/local-engine.ts";
import type { Choice, Selection } from "../engine/question.ts";
import { emptySelection, toggle, withChoice } from "../engine/selection.ts";
import { PageResults, type Stand } from "./page-results.ts";
import type { Scene, SceneFacet } from "./scene.ts";
import type { Walk } from "./walk.ts";

/**
 * Maximum number of selections to evaluate, fewer if each takes longer; a longer search is abandoned without a result.
 */
const maxAsked = 6000;
const maxCounted = 3_000_000;

/** One choice in a facet that a product meets. */
interface Single {
  one: SceneFacet;
  choice: Choice;
}

/**
 * The minimum number of choices with which shoppers could have brought their product among the first cards, averaged
 * over those who found it: by trying, for each product, all sets of offered choices that it meets, smallest first. No
 * walk takes fewer.
 * @param first number of cards in which a product is noticed
 * @returns undefined if nobody found anything, or the search would take too long
 */
export function fewestChoices(
  engine: LocalEngine,
  scene: Scene,
  first: number,
  walks: readonly Walk[],
): number | undefined {
  const found = walks.filter(({ ending }) => ending === "arrived");
  const stands = new PageResults(engine, scene, first);
  const asked = new Set<string>();
  const limit = Math.min(maxAsked, maxCounted / Math.max(1, stands.products.length));
  const at = (selection: Selection): Stand | undefined => {
    asked.add(JSON.stringify(selection));
    return asked.size > limit ? undefined : stands.at(selection);
  };
  const fewest = new Map<number, number>();
  for (const { target, moves } of found) {
    if (fewest.has(target)) continue;
    const own = fewestFor(stands, target, moves.length, at);
    if (own === undefined) return undefined;
    fewest.set(target, own);
  }
  if (found.length === 0) return undefined;
  return found.reduce((sum, { target }) => sum + (fewest.get(target) ?? 0), 0) / found.length;
}

/** @param most number of choices with which the product was found, so that no more are tried */
function fewestFor(
  stands: PageResults,
  product: number,
  most: number,
  at: (selection: Selection) => Stand | undefined,
): number | undefined {
  const singles = singlesOf(stands, product);
  let level: { selection: Selection; next: number }[] = [{ selection: emptySelection, next: 0 }];
  for (let choices = 0; choices < most; choices++) {
    const deeper: typeof level = [];
    for (const { selection, next } of level) {
      const stand = at(selection);
      if (!stand) return undefined;
      if (stand.first.has(product)) return choices;
      for (let n = next; n < singles.length; n++) {
        const single = singles[n];
        const more = single && withSingle(selection, single);
        if (more) deeper.push({ selection: more, next: n + 1 });
      }
    }
    level = deeper;
  }
  return most;
}

/** A selection with one more choice; undefined if that would replace another or change nothing. */
function withSingle(selection: Selection, { one: { facet }, choice }: Single): Selection | undefined {
  const has = Object.hasOwn(selection.choices, facet.field);
  if (!has) return withChoice(selection, facet.field, choice);
  if (facet.mode !== "all" || !("options" in choice)) return undefined;
  const [option] = choice.options;
  return option === undefined ? undefined : toggle(selection, facet, option);
}

/** Every offered choice of one option, or of the narrowest range, that some variant of a product meets. */
function singlesOf(stands: PageResults, product: number): Single[] {
  const { variantStart } = stands.index.catalogue;
  const start = variantStart[product] ?? 0;
  const variants = Array.from({ length: (variantStart[product + 1] ?? start + 1) - start }, (_, n) => start + n);
  return stands.scene.facets.flatMap((one): Single[] => {
    const { facet } = one;
    const things = variants.map((variant) => ({ product, variant }));
    if (facet.mode === "range") {
      const values = new Set(things.flatMap((thing) => stands.numberOf(facet.field, thing) ?? []));
      const { ranges } = stands.rangesOf(facet);
      const fitting: Range[] =
        ranges.length > 0
          ? ranges.filter((range) => [...values].some((value) => holds(range, value)))
          : [...values].map((value) => ({ min: value, max: value }));
      return fitting.map((choice) => ({ one, choice }));
    }
    const offered = stands.offeredBy(one);
    const places = new Set(things.flatMap((thing) => stands.optionsOf(facet, thing)));
    return [...places].flatMap((place) => {
      const option = offered.has(place) ? stands.optionAt(facet, place) : undefined;
      return option ? [{ one, choice: { options: [option.id] } }] : [];
    });
  });
}
