import { holds } from "../catalogue/numbers/range.ts";
import type { Range } from "../catalogue/numbers/range-schema.ts";
import { displays } from "../displays/displays.ts";
import type { Operator } from "../displays/interaction-cost.ts";
import { along, type Way } from "../displays/seeking.ts";
import { densityOf } from "../displays/shop-facts.ts";
import type { Choice } from "../engine/question.ts";
import { choiceOf, emptySelection, toggle } from "../engine/selection.ts";
import { labelOf } from "../panel/options.ts";
import { rulesOf } from "../panel/panel.ts";
import { rangeAround } from "../profile/answers.ts";
import type { PageResults, Stand } from "./page-results.ts";
import type { SceneFacet } from "./scene.ts";
import type { ProductVariant } from "./shopper.ts";

/** A shopper's answer to a facet. */
export interface ShopperAnswer {
  facet: SceneFacet;
  choice: Choice;
  /** The answer in words. */
  words: string;
  /** Number of products left. */
  left: number;
  /** The quickest way to give it: what is read first, and the operators. */
  way(): Way;
}

/** A shopper's speed, in seconds. */
export interface Pace {
  of(acts: readonly Operator[]): number;
  /** Time to read a title or option. */
  read: number;
}

/**
 * The answer of a shopper who believes that a facet has a certain product's value: the product's option that narrows
 * the results most. `"missing"` if the shopper knows the value and the facet doesn't offer it; undefined if the
 * product has no value, or the facet offers one side only and the product is on the other.
 * @param near how far, as a share, a remembered number may deviate from the true one
 */
export function answerOf(
  stands: PageResults,
  stand: Stand,
  one: SceneFacet,
  thing: ProductVariant,
  near: number,
  pace: Pace,
): ShopperAnswer | "missing" | undefined {
  return one.facet.mode === "range"
    ? rangeAnswer(stands, stand, one, thing, near)
    : optionAnswer(stands, stand, one, thing, pace);
}

function optionAnswer(
  stands: PageResults,
  stand: Stand,
  one: SceneFacet,
  thing: ProductVariant,
  pace: Pace,
): ShopperAnswer | "missing" | undefined {
  const { facet, row, settings, display } = one;
  const own = stands.optionsOf(facet, thing);
  if (own.length === 0) return undefined;
  const rules = rulesOf(row);
  const counts = stand.look.counts(facet);
  const here = stands.offeredBy(one);
  const offered = own.flatMap((place) => {
    const option = stands.optionAt(facet, place);
    return option && here.has(place) ? [{ place, option, left: counts[place] ?? 0 }] : [];
  });
  // A tree is opened as deep as the value is known; the deepest level narrows most.
  const best = offered.sort((a, b) => a.left - b.left || a.place - b.place).find(({ left }) => left > 0) ?? offered[0];
  if (!best) return displays[display].oneSided ? undefined : "missing";
  // Hidden and disabled options cannot be chosen.
  if (best.left === 0 && settings.emptyOptions !== "keep") return "missing";
  const label = labelOf(rules, best.option, "en");
  const choice = choiceOf(toggle(emptySelection, facet, best.option.id), facet.field);
  if (!choice) return undefined;
  return {
    facet: one,
    choice,
    words: label,
    left: best.left,
    way() {
      const shown = shownIn(stands, one, counts, best.place);
      const at = shown.findIndex(({ id }) => id === best.option.id);
      const { seek = along, hands } = displays[display];
      const density = densityOf(display, settings);
      const way = quickest(seek({ density, mode: facet.mode, settings, shown, at }), pace);
      return { read: way?.read ?? at + 1, acts: [...(way?.acts ?? []), ...hands({ ends: 0, characters: 0 })] };
    },
  };
}

/** The options visible to a shopper, in order, without empty ones if the facet hides those. */
const shownIn = (stands: PageResults, one: SceneFacet, counts: ArrayLike<number>, sought: number) =>
  [...stands.offeredBy(one)]
    .filter((place) => place === sought || one.settings.emptyOptions !== "drop" || (counts[place] ?? 0) > 0)
    .flatMap((place) => {
      const option = stands.optionAt(one.facet, place);
      return option ? [{ id: option.id, label: labelOf(rulesOf(one.row), option, "en") }] : [];
    });

function quickest(ways: readonly Way[], pace: Pace): Way | undefined {
  const costOf = ({ read, acts }: Way) => pace.of(acts) + pace.read * read;
  return [...ways].sort((a, b) => costOf(a) - costOf(b))[0];
}

function rangeAnswer(
  stands: PageResults,
  stand: Stand,
  one: SceneFacet,
  thing: ProductVariant,
  near: number,
): ShopperAnswer | "missing" | undefined {
  const { facet, display, settings } = one;
  const value = stands.numberOf(facet.field, thing);
  if (value === undefined) return undefined;
  const { ranges, least, most } = stands.rangesOf(facet);
  const { hands } = displays[display];
  if (ranges.length > 0) {
    const counts = stand.look.counts(facet);
    const places = ranges.flatMap((range, place) => (holds(range, value) ? [place] : []));
    const [place] = places.sort((a, b) => (counts[a] ?? 0) - (counts[b] ?? 0));
    const range = place === undefined ? undefined : ranges[place];
    if (place === undefined || !range) return "missing";
    const left = counts[place] ?? 0;
    if (left === 0 && settings.emptyOptions !== "keep") return "missing";
    const words = inWords(range);
    return {
      facet: one,
      choice: range,
      words,
      left,
      way: () => ({ read: place + 1, acts: hands({ ends: 0, characters: 0 }) }),
    };
  }
  if (least === undefined || most === undefined) return undefined;
  const range = rangeAround(value, near, least, most);
  if (!range) return undefined;
  const ends = (range.min === undefined ? 0 : 1) + (range.max === undefined ? 0 : 1);
  const characters = String(Math.round(value)).length;
  return {
    facet: one,
    choice: range,
    words: inWords(range),
    left: stand.look.within(facet.field, range),
    way: () => ({ read: ends, acts: hands({ ends, characters }) }),
  };
}

const round = (value: number): string => String(Number(value.toPrecision(4)));
function inWords({ min, max, below }: Range): string {
  const high = max ?? below;
  if (min === undefined) return high === undefined ? "" : `to ${round(high)}`;
  return high === undefined ? `from ${round(min)}` : `${round(min)} to ${round(high)}`;
}
