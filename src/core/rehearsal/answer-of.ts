import { pathSeparator } from "../catalogue/path.ts";
import { displays } from "../display/displays.ts";
import type { Operator } from "../display/hands.ts";
import type { Choice } from "../match/question.ts";
import { choiceOf, emptySelection, toggle } from "../match/selection.ts";
import type { Range } from "../numbers/range-schema.ts";
import { labelOf } from "../panel/options.ts";
import { rulesOf } from "../panel/panel.ts";
import { shownAtOnce } from "./heights.ts";
import type { SceneFacet } from "./scene.ts";
import type { Thing } from "./shopper.ts";
import type { Stand, Stands } from "./stand.ts";

/** How a shopper would answer a facet. */
export interface Answer {
  facet: SceneFacet;
  choice: Choice;
  /** What is answered, as shoppers read it. */
  words: string;
  /** Products that would be left. */
  left: number;
  /** Options read until the answer is found, and whether a button shows it first. */
  read: number;
  more: boolean;
  hands: Operator[];
}

/** Characters of a name that are typed until it is found. Common practice, no source. */
const typedOfName = 4;

/**
 * How a shopper would answer a facet who takes its value to be that of a thing: the option that narrows most of those
 * that the thing has. `"missing"` where the shopper knows it and the facet does not offer it; undefined where the thing
 * states nothing.
 * @param near how far, as a share, a number that is known may lie beside the true one
 */
export function answerOf(
  stands: Stands,
  stand: Stand,
  one: SceneFacet,
  thing: Thing,
  near: number,
): Answer | "missing" | undefined {
  return one.facet.mode === "range"
    ? rangeAnswer(stands, stand, one, thing, near)
    : optionAnswer(stands, stand, one, thing);
}

function optionAnswer(stands: Stands, stand: Stand, one: SceneFacet, thing: Thing): Answer | "missing" | undefined {
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
  // A tree is gone down as far as it is known; its deepest level narrows most.
  const best = offered.sort((a, b) => a.left - b.left || a.place - b.place).find(({ left }) => left > 0) ?? offered[0];
  if (!best) return "missing";
  // Dropped and faded options cannot be chosen.
  if (best.left === 0 && settings.deadEnd !== "keep") return "missing";
  const places = readingOrder(stands, one, counts);
  const read = places.indexOf(best.place) + 1;
  const label = labelOf(rules, best.option, "en");
  const choice = choiceOf(toggle(emptySelection, facet, best.option.id), facet.field);
  if (!choice) return undefined;
  return {
    facet: one,
    choice,
    words: label,
    left: best.left,
    read: Math.max(1, read),
    more: displays[display].room !== "control" && read > shownAtOnce(settings, places.length),
    hands: displays[display].hands({
      ends: 0,
      levels: facet.mode === "tree" ? best.option.id.split(pathSeparator).length : 1,
      characters: Math.min(typedOfName, label.length),
    }),
  };
}

/** The places of the options that a shopper reads, in their order; options without products are left out where the facet hides them. */
const readingOrder = (stands: Stands, one: SceneFacet, counts: ArrayLike<number>): number[] =>
  [...stands.offeredBy(one)].filter((place) => one.settings.deadEnd !== "drop" || (counts[place] ?? 0) > 0);

function rangeAnswer(
  stands: Stands,
  stand: Stand,
  one: SceneFacet,
  thing: Thing,
  near: number,
): Answer | "missing" | undefined {
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
    if (left === 0 && settings.deadEnd !== "keep") return "missing";
    const words = inWords(range);
    return {
      facet: one,
      choice: range,
      words,
      left,
      read: place + 1,
      more: false,
      hands: hands({ ends: 0, levels: 1, characters: 0 }),
    };
  }
  if (least === undefined || most === undefined) return undefined;
  const width = Math.abs(value) * near;
  const range: Range = {
    ...(value - width > least ? { min: value - width } : {}),
    ...(value + width < most ? { max: value + width } : {}),
  };
  const ends = (range.min === undefined ? 0 : 1) + (range.max === undefined ? 0 : 1);
  if (ends === 0) return undefined;
  const characters = String(Math.round(value)).length;
  return {
    facet: one,
    choice: range,
    words: inWords(range),
    left: stand.look.within(facet.field, range),
    read: ends,
    more: false,
    hands: hands({ ends, levels: 1, characters }),
  };
}

const holds = ({ min, max, below }: Range, value: number): boolean =>
  (min === undefined || value >= min) && (max === undefined || value <= max) && (below === undefined || value < below);

const round = (value: number): string => String(Number(value.toPrecision(4)));
function inWords({ min, max, below }: Range): string {
  const high = max ?? below;
  if (min === undefined) return high === undefined ? "" : `to ${round(high)}`;
  return high === undefined ? `from ${round(min)}` : `${round(min)} to ${round(high)}`;
}
