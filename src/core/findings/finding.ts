import type { Answer, FacetAnswer } from "../engine/answer.ts";
import type { Selection } from "../engine/question.ts";
import type { LookDocument } from "../look/look-schema.ts";
import type { FacetRow, PanelDocument } from "../panel/panel-schema.ts";
import type { Awaitable, Facts } from "../profile/facts.ts";
import type { Band } from "../settings/band.ts";
import type { OfferedFix } from "./fix.ts";
import type { Measures } from "./measure.ts";
import type { PageUse } from "./visit-use.ts";

/** How much a finding matters: worth a look, likely to trip shoppers, or broken. */
export const findingLevels = ["note", "warning", "error"] as const;
export type FindingLevel = (typeof findingLevels)[number];

/** A finding as its kind returns it. */
export interface FindingDraft {
  /** Row that it is about; the whole panel when absent. */
  row?: string;
  band?: Band;
  /** The problem, with its number, in one or two sentences. */
  words: string;
  /** A field with missing values, so that the catalogue view can list the products. */
  silentField?: string;
  remedy?: OfferedFix;
}

/** A computed problem or risk of a panel. */
export interface Finding extends FindingDraft {
  /** Name of the kind. */
  kind: string;
  level: FindingLevel;
}

/** A facet of the panel, with its name for sentences and the page's answer about it. */
export interface FacetUnderTest {
  row: FacetRow;
  title: string;
  found: FacetAnswer | undefined;
  /** Products of the page found by some offered option. */
  reach: number;
}

/** The inputs of a finding kind. */
export interface FindingContext {
  panel: PanelDocument;
  facts: Facts;
  selection: Selection;
  /** The answer for the panel's facets on the wide band, with the current selection. */
  answer: Answer;
  facets: readonly FacetUnderTest[];
  /** A browser's measurements; empty if there are none. */
  measures: Measures;
  /** The look of the panel, where it is known. */
  look: DrawnIn | undefined;
  /** The acts of real shoppers on the page, where they are known. */
  visits: PageUse | undefined;
}

/** The part of a look that findings need. */
export type DrawnIn = Pick<LookDocument, "values" | "dark" | "styles">;

/** A kind of finding, in a file of its own. */
export interface FindingKind {
  name: string;
  level: FindingLevel;
  /** Required inputs beside a panel and its catalogue. Without them, the kind finds nothing. */
  needs?: "measures" | "look" | "visits";
  find(context: FindingContext): Awaitable<readonly FindingDraft[]>;
}

/** A kind that examines facets one at a time. */
export const inEachFacet = (
  kind: Omit<FindingKind, "find"> & {
    find(facet: FacetUnderTest, context: FindingContext): Awaitable<FindingDraft | readonly FindingDraft[] | undefined>;
  },
): FindingKind => ({
  ...kind,
  async find(context) {
    const found = await Promise.all(context.facets.map((facet) => kind.find(facet, context)));
    return found.flatMap((one) => one ?? []);
  },
});
