import { displayNames, displays } from "../displays/displays.ts";
import { edited } from "../document/edit.ts";
import { facetEdit, moveRow, type PanelEdit, removeRow, setSetting } from "../panel/edit.ts";
import { splitFacet } from "../panel/option-edit.ts";
import { facetRows, isFacet } from "../panel/panel.ts";
import type { FacetRow, NamedValue, PanelDocument } from "../panel/panel-schema.ts";
import type { FieldProfile } from "../profile/profile.ts";
import type { Band } from "../settings/band.ts";
import { resolve, withBand } from "../settings/band.ts";
import { bootstrap, compareWalks, holm, type MeasureDifference } from "./compare.ts";
import type { Walk } from "./walk.ts";

/** A change of a panel that proved better with new shoppers. */
export interface Proposal {
  words: string;
  document: PanelDocument;
  /** Mean seconds saved per shopper, counting those who never arrive with their full patience. */
  gain: number;
  low: number;
  high: number;
  p: number;
  differences: MeasureDifference[];
}

/** How a search is made. */
export interface Proposing {
  /** Walks of a number of shoppers through a panel; the same seed sends the same shoppers. */
  run(panel: PanelDocument, shoppers: number, seed: number): Walk[];
  profileOf(field: string): FieldProfile | undefined;
  titleOf(row: string): string;
  /** The options that a facet offers, most frequent first. */
  optionsOf(row: FacetRow): readonly NamedValue[];
  band: Band;
  seed: number;
  /** Seconds counted for a shopper who never arrives. */
  maxSeconds: number;
  /** Maximum number of panels to try. Default: 60. */
  budget?: number;
}

const searchers = 300;
const judges = 2000;
const maxProposals = 5;
/** Minimum gain worth a change, in seconds per shopper. Common practice, no source. */
const worthwhile = 0.1;

/** The cost of a shopper's walk in seconds. */
export const choiceCost = ({ ending, seconds }: Walk, maxSeconds: number): number =>
  ending === "arrived" ? Math.min(seconds, maxSeconds) : maxSeconds;

/** Minimum number of options of a facet to split. Common practice, no source. */
const manyOptions = 8;

/**
 * Every single change to try: each facet moved to the front, opened or collapsed, left out, split in two, or in
 * another suitable display.
 */
export function changesOf(
  panel: PanelDocument,
  { profileOf, titleOf, optionsOf, band }: Pick<Proposing, "profileOf" | "titleOf" | "optionsOf" | "band">,
): PanelEdit[] {
  const rows = facetRows(panel);
  const first = panel.rows.findIndex(isFacet);
  const at = (id: string) => panel.rows.findIndex((row) => row.id === id);
  const startOf = (row: FacetRow) => row.settings.start ?? "open";
  // Alternates between kinds of change, so that a small budget still tries the most promising of each.
  return [
    ...rows
      .filter(({ id }) => at(id) > first)
      .map(({ id }) => ({ ...moveRow(id, first, titleOf(id)), words: `Move ${titleOf(id)} to the top` })),
    ...rows
      .filter((row) => startOf(row) !== "fixed")
      .map((row) => setSetting(row.id, "start", startOf(row) === "folded" ? "open" : "folded", titleOf(row.id))),
    ...rows.map(({ id }) => removeRow(id, titleOf(id))),
    ...rows.flatMap((row) => {
      const options = row.mode === "any" || row.mode === "all" ? optionsOf(row) : [];
      if (options.length < manyOptions) return [];
      return [splitFacet(row, titleOf(row.id), options.slice(0, Math.ceil(options.length / 2)))];
    }),
    ...rows.flatMap((row) => {
      const profile = profileOf(row.field);
      const shown = resolve(row.display, band);
      const others = displayNames.filter(
        (name) =>
          name !== shown && displays[name].modes.includes(row.mode) && profile && !displays[name].unsuited(profile),
      );
      return others.map((name) =>
        facetEdit(`Show ${titleOf(row.id)} as ${displays[name].label.toLowerCase()} on ${band}`, row.id, (one) => {
          one.display = withBand(one.display, band, name);
        }),
      );
    }),
  ];
}

/**
 * Searches for changes of a panel that lead shoppers to their product sooner. Each change is tried with some shoppers;
 * the most helpful ones, and all of them combined, are judged with others. Only significant improvements there are
 * reported, by the bootstrap of the paired differences with Holm's correction.
 * @returns best first; empty if nothing is better
 */
export function* propose(panel: PanelDocument, given: Proposing): Generator<number, Proposal[]> {
  const { run, seed, maxSeconds, budget = 60 } = given;
  const cost = (walks: readonly Walk[]) =>
    walks.reduce((sum, one) => sum + choiceCost(one, maxSeconds), 0) / Math.max(1, walks.length);
  const tried = changesOf(panel, given).slice(0, budget);
  const before = cost(run(panel, searchers, seed + 1));
  const found: { edit: PanelEdit; gain: number }[] = [];
  for (const [at, edit] of tried.entries()) {
    const gain = before - cost(run(edited(panel, edit), searchers, seed + 1));
    if (gain > 0) found.push({ edit, gain });
    yield (at + 1) / (tried.length + maxProposals + 1);
  }
  const best = found.sort((a, b) => b.gain - a.gain).slice(0, maxProposals);
  const candidates = best.map(({ edit }) => ({ words: edit.words, document: edited(panel, edit) }));
  // Combines all helpful changes that still help after those before them.
  let together = panel;
  let least = before;
  const words: string[] = [];
  for (const { edit } of best) {
    const next = edited(together, edit);
    const now = cost(run(next, searchers, seed + 1));
    if (now >= least) continue;
    [together, least] = [next, now];
    words.push(edit.words);
  }
  if (words.length > 1) candidates.unshift({ words: words.join("; "), document: together });
  const unseen = run(panel, judges, seed + 2);
  const judged: Proposal[] = [];
  for (const [at, { words: said, document }] of candidates.entries()) {
    const walks = run(document, judges, seed + 2);
    const gains = unseen.map((one, n) => choiceCost(one, maxSeconds) - choiceCost(walks[n] ?? one, maxSeconds));
    const { mean, low, high, p } = bootstrap(gains, "gain");
    judged.push({ words: said, document, gain: mean, low, high, p, differences: compareWalks(unseen, walks) });
    yield (tried.length + at + 1) / (tried.length + maxProposals + 1);
  }
  const corrected = holm(judged.map(({ p }) => p));
  return judged
    .map((one, at) => ({ ...one, p: corrected[at] ?? 1 }))
    .filter(({ gain, p }) => gain >= worthwhile && p < 0.05)
    .sort((a, b) => b.gain - a.gain);
}
