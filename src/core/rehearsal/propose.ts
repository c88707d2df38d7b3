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

/** A change of a panel that did better with shoppers that the search had not seen. */
export interface Proposal {
  words: string;
  document: PanelDocument;
  /** Seconds that a shopper is sooner on the mean, those who never arrive counted with all their patience. */
  gain: number;
  low: number;
  high: number;
  p: number;
  differences: MeasureDifference[];
}

/** How a search is made. */
export interface Proposing {
  /** Walks of so many shoppers through a panel; the shoppers of one seed are the same ones each time. */
  run(panel: PanelDocument, shoppers: number, seed: number): Walk[];
  profileOf(field: string): FieldProfile | undefined;
  titleOf(row: string): string;
  /** The options that shoppers get of a facet, the most frequent first. */
  optionsOf(row: FacetRow): readonly NamedValue[];
  band: Band;
  seed: number;
  /** Seconds that count for those who never arrive. */
  mostSeconds: number;
  /** Panels that are tried at most. Default: 60. */
  budget?: number;
}

const searchers = 300;
const judges = 2000;
const mostProposals = 5;
/** Seconds a shopper below which a gain is not worth a change. Common practice, no source. */
const worthwhile = 0.1;

/** The cost of a shopper's path in seconds. */
export const choiceCost = ({ ending, seconds }: Walk, mostSeconds: number): number =>
  ending === "arrived" ? Math.min(seconds, mostSeconds) : mostSeconds;

/** A facet is only split where it has at least so many options. Common practice, no source. */
const manyOptions = 8;

/**
 * Every single change that is tried: each facet first, open or folded, left out, split in two, and in another display that
 * suits it.
 */
export function changesOf(
  panel: PanelDocument,
  { profileOf, titleOf, optionsOf, band }: Pick<Proposing, "profileOf" | "titleOf" | "optionsOf" | "band">,
): PanelEdit[] {
  const rows = facetRows(panel);
  const first = panel.rows.findIndex(isFacet);
  const at = (id: string) => panel.rows.findIndex((row) => row.id === id);
  const startOf = (row: FacetRow) => row.settings.start ?? "open";
  // By kind of change, so that a small budget still tries every kind of the likeliest.
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
 * Searches for changes of a panel that lead shoppers sooner to what they look for. Each change is tried on some shoppers;
 * those that helped them most, and all of them one after the other, are judged on others. Only what is better there is
 * told, by the bootstrap of the paired differences, corrected by Holm's way for all that were judged.
 * @returns best first; nothing where nothing is better
 */
export function* propose(panel: PanelDocument, given: Proposing): Generator<number, Proposal[]> {
  const { run, seed, mostSeconds, budget = 60 } = given;
  const cost = (walks: readonly Walk[]) =>
    walks.reduce((sum, one) => sum + choiceCost(one, mostSeconds), 0) / Math.max(1, walks.length);
  const tried = changesOf(panel, given).slice(0, budget);
  const before = cost(run(panel, searchers, seed + 1));
  const found: { edit: PanelEdit; gain: number }[] = [];
  for (const [at, edit] of tried.entries()) {
    const gain = before - cost(run(edited(panel, edit), searchers, seed + 1));
    if (gain > 0) found.push({ edit, gain });
    yield (at + 1) / (tried.length + mostProposals + 1);
  }
  const best = found.sort((a, b) => b.gain - a.gain).slice(0, mostProposals);
  const candidates = best.map(({ edit }) => ({ words: edit.words, document: edited(panel, edit) }));
  // All that helps, as far as each goes on helping after those before it.
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
    const gains = unseen.map((one, n) => choiceCost(one, mostSeconds) - choiceCost(walks[n] ?? one, mostSeconds));
    const { mean, low, high, p } = bootstrap(gains, "gain");
    judged.push({ words: said, document, gain: mean, low, high, p, differences: compareWalks(unseen, walks) });
    yield (tried.length + at + 1) / (tried.length + mostProposals + 1);
  }
  const corrected = holm(judged.map(({ p }) => p));
  return judged
    .map((one, at) => ({ ...one, p: corrected[at] ?? 1 }))
    .filter(({ gain, p }) => gain >= worthwhile && p < 0.05)
    .sort((a, b) => b.gain - a.gain);
}
