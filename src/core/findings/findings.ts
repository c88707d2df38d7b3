import { countsOf } from "../engine/engine.ts";
import type { Clause, Selection } from "../engine/question.ts";
import { engineFacets, facetRows } from "../panel/panel.ts";
import type { PanelDocument } from "../panel/panel-schema.ts";
import type { Facts } from "../profile/facts.ts";
import { allOfDeadPairs } from "./all-of-dead-pairs.ts";
import { deadEndsKept } from "./dead-ends-kept.ts";
import { farProducts } from "./far-products.ts";
import type { DrawnIn, Finding, FindingKind } from "./finding.ts";
import { hardToSee } from "./hard-to-see.ts";
import { jumps } from "./jumps.ts";
import { lowReach } from "./low-reach.ts";
import { manyOptions } from "./many-options.ts";
import { meaninglessOrder } from "./meaningless-order.ts";
import type { Measures } from "./measure.ts";
import { misspelt } from "./misspelt.ts";
import { noValues } from "./no-values.ts";
import { oftenLeft } from "./often-left.ts";
import { oftenRemoved } from "./often-removed.ts";
import { oneBar } from "./one-bar.ts";
import { placeholderText } from "./placeholder-text.ts";
import { rarelyUsed } from "./rarely-used.ts";
import { rawLabels } from "./raw-labels.ts";
import { reachesOf } from "./reach.ts";
import { sameQuestion } from "./same-question.ts";
import { sameTitles } from "./same-titles.ts";
import { soldOutStay } from "./sold-out-stay.ts";
import { soughtInVain } from "./sought-in-vain.ts";
import { squeezed } from "./squeezed.ts";
import { staleNames } from "./stale-names.ts";
import { steadyCounts } from "./steady-counts.ts";
import { stickyRow } from "./sticky-row.ts";
import { stretchedScale } from "./stretched-scale.ts";
import { styleGone } from "./style-gone.ts";
import { swappedEnds } from "./swapped-ends.ts";
import { tooHigh } from "./too-high.ts";
import { typedEnds } from "./typed-ends.ts";
import { usedBelow } from "./used-below.ts";
import type { PageUse } from "./visit-use.ts";

/** Every kind of finding, in display order. */
export const findingKinds: readonly FindingKind[] = [
  noValues,
  lowReach,
  staleNames,
  steadyCounts,
  deadEndsKept,
  allOfDeadPairs,
  typedEnds,
  swappedEnds,
  stretchedScale,
  oneBar,
  manyOptions,
  meaninglessOrder,
  sameQuestion,
  tooHigh,
  squeezed,
  stickyRow,
  jumps,
  rawLabels,
  misspelt,
  placeholderText,
  sameTitles,
  soldOutStay,
  farProducts,
  styleGone,
  hardToSee,
  rarelyUsed,
  oftenRemoved,
  oftenLeft,
  usedBelow,
  soughtInVain,
];

/** The inputs of findings beside a panel and its catalogue. */
export interface Known {
  /** A browser's measurements. */
  measures?: Measures;
  /** The page's standing conditions; none by default, so that all products are on it. */
  within?: Clause[];
  /** The look of the panel. */
  look?: DrawnIn | undefined;
  /** The acts of real shoppers on the page. */
  visits?: PageUse | undefined;
}

/**
 * All problems and risks of a panel over a catalogue, with a selection.
 * @param known other inputs; kinds whose inputs are missing find nothing
 */
export async function findFindings(
  facts: Facts,
  panel: PanelDocument,
  selection: Selection,
  { measures = {}, within = [], look, visits }: Known = {},
): Promise<Finding[]> {
  const answer = await facts.ask(countsOf(engineFacets(panel, "wide"), selection, within));
  const reaches = await reachesOf(facts, panel, answer, { within });
  const facets = await Promise.all(
    facetRows(panel).map(async (row) => ({
      row,
      title: row.label || ((await facts.profile(row.field))?.field.name ?? row.field),
      found: answer.facets[row.field],
      reach: reaches.get(row.id) ?? 0,
    })),
  );
  const context = { panel, facts, selection, answer, facets, measures, look, visits };
  const found = await Promise.all(
    findingKinds.map(async ({ name: kind, level, find }) =>
      (await find(context)).map((one): Finding => ({ kind, level, ...one })),
    ),
  );
  return found.flat();
}
