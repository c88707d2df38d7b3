import { isDerived } from "../../catalogue/field.ts";
import { displays } from "../../displays/displays.ts";
import type { CatalogueIndex } from "../../engine/index/catalogue-index.ts";
import { emptyPanel } from "../panel.ts";
import type { PanelDocument } from "../panel-schema.ts";
import { newPiece } from "../pieces.ts";
import { type Ranked, rankFields } from "./rank.ts";
import { suggestRow } from "./suggest.ts";

/**
 * Maximum number of facets in a first panel, and of sliders among its first ones: more would be a wall. Common
 * practice, no source.
 */
const most = 7;
const early = 5;
const maxSliders = 2;

/** Beyond the first few, less useful facets than this are left to the designer. Common practice, no source. */
const minWorth = 0.25;
const fewest = 3;

/** A useful first panel: the best fields, the category first, availability last. */
export const firstPanel = (index: CatalogueIndex, name: string): PanelDocument => ({
  ...emptyPanel(name),
  rows: [newPiece("chosen", "chosen"), ...firstFields(index).map(({ profile }) => suggestRow(profile))],
});

/** The fields of a first panel in order, each with the reason. */
export const firstFields = (index: CatalogueIndex): Ranked[] => firstOf(rankFields(index, most));

/** The fields of a first panel among ranked ones, in order. */
export function firstOf(ranked: readonly Ranked[]): Ranked[] {
  const worth = ranked.slice(0, most).filter(({ score }, at) => at < fewest || score >= minWorth);
  return withFewSliders(ordered(worth));
}

/** Why a field is in a first panel, in plain words and numbers. */
export function reasonFor({
  profile: { reach, outOf },
  suggestion: { display, reason },
  left,
}: Omit<Ranked, "score">): string {
  const stated =
    reach === outOf ? "All products have a value" : `${number(reach)} of ${number(outOf)} products have a value`;
  return `${stated}; one choice leaves ${number(Math.round(left))} on average. ${displays[display].label}: ${reason}.`;
}

const number = (value: number): string => value.toLocaleString("en");

function ordered(chosen: readonly Ranked[]): Ranked[] {
  const place = ({ profile: { field } }: Ranked) => (field.role === "category" ? 0 : isDerived(field) ? 2 : 1);
  return [...chosen].sort((a, b) => place(a) - place(b));
}

/** Moves sliders beyond the first ones to the end. */
function withFewSliders(chosen: readonly Ranked[]): Ranked[] {
  const first: Ranked[] = [];
  const later: Ranked[] = [];
  const isSlider = ({ suggestion }: Ranked) => displays[suggestion.display].settings.includes("scale");
  for (const one of chosen) {
    const enough = first.length < early && first.filter(isSlider).length >= maxSliders;
    if (isSlider(one) && enough) later.push(one);
    else first.push(one);
  }
  return [...first, ...later];
}
