import type { Answer } from "../../engine/answer.ts";
import type { PageRef } from "../../page/page-list.ts";
import type { PagesDocument } from "../../page/pages-schema.ts";
import type { ShownPage } from "../../page/shown-page.ts";
import type { PanelDocument } from "../../panel/panel-schema.ts";
import type { PageFacts } from "../../profile/value-pages.ts";
import type { FindingDraft, FindingLevel } from "../finding.ts";
import type { FacetHere } from "./facet-here.ts";

/** A finding about a page as its kind returns it. */
export interface PageFound {
  /** Panel that it is about; the page itself when absent. */
  panel?: string;
  /** Row of that panel. */
  row?: string;
  /** The problem, with its number, in one or two sentences. */
  words: string;
  /** The step in that panel that solves it. */
  remedy?: FindingDraft["remedy"];
}

/** A computed problem or risk of a page. */
export interface PageFinding extends PageFound {
  /** Name of the kind. */
  kind: string;
  level: FindingLevel;
}

/** The inputs of a page finding. */
export interface PageContext {
  page: ShownPage;
  pages: PagesDocument;
  /** Documents of the panels on the page, by slug; missing ones are left out. */
  panels: ReadonlyMap<string, PanelDocument>;
  /** Every panel of the shop, by slug, in order. */
  all: ReadonlyMap<string, PanelDocument>;
  /** The page at an address; undefined if there is none. */
  pageAt(address: string): PageRef | undefined;
  /** The answer for all facets on the page, with nothing chosen. */
  answer: Answer;
  facets: readonly FacetHere[];
  pageFacts: PageFacts;
  /** Whether the catalogue has a field. */
  hasField(key: string): boolean;
}

/** A kind of finding about a page, in a file of its own. */
export interface PageFindingKind {
  name: string;
  level: FindingLevel;
  find(context: PageContext): readonly PageFound[];
}
