import { countsOf } from "../../engine/engine.ts";
import type { Clause, Facet } from "../../engine/question.ts";
import type { PageRef } from "../../page/page-list.ts";
import type { PagesDocument } from "../../page/pages-schema.ts";
import { shownPage } from "../../page/shown-page.ts";
import { offeredOptions, shownOn } from "../../panel/offered.ts";
import { isShown } from "../../panel/options.ts";
import { engineFacets, facetRows, rulesOf } from "../../panel/panel.ts";
import type { PanelDocument } from "../../panel/panel-schema.ts";
import type { Facts } from "../../profile/facts.ts";
import { reachesOf } from "../reach.ts";
import type { FacetHere } from "./facet-here.ts";
import type { PageFinding } from "./page-finding.ts";
import { findPageFindings } from "./page-findings.ts";

/** A page in numbers. */
export interface PageFigures extends PageRef {
  /** Its standing conditions. */
  within: readonly Clause[];
  /** Products of the page before any choice. */
  products: number;
  /** Panels that stand on it, by slug. */
  panels: readonly string[];
  facets: readonly FacetHere[];
  findings: readonly PageFinding[];
}

/**
 * A page in numbers: what each facet of each of its panels offers there. Undefined if there is no such page.
 * @param panels every panel of the shop by slug, in order
 */
export async function pageFigures(
  facts: Facts,
  address: string,
  pages: PagesDocument,
  panels: ReadonlyMap<string, PanelDocument>,
): Promise<PageFigures | undefined> {
  const pageFacts = await facts.pageFacts();
  const [first] = panels.keys();
  const page = shownPage(address, pages, pageFacts, first);
  if (!page) return undefined;
  const standing = page.layout.panels.map(({ panel }) => panel);
  const here = new Map([...panels].filter(([slug]) => standing.includes(slug)));
  const asked = facetsOf([...here.values()]);
  const answer = await facts.ask(countsOf(asked, undefined, page.within));
  const reaches = new Map(
    await Promise.all(
      [...here].map(async ([panel, document]) => [panel, await reachesOf(facts, document, answer, page)] as const),
    ),
  );
  const facets = [...here].flatMap(([panel, document]) =>
    facetRows(document).map((row): FacetHere => {
      const found = answer.facets[row.field];
      const rules = rulesOf(row);
      const options = found ? offeredOptions(row, shownOn(row, "wide"), found).length : 0;
      const elsewhere = (found?.options ?? []).filter(
        ({ id }, o) => isShown(rules, id) && (found?.counts.steady[o] ?? 0) === 0,
      );
      return {
        panel,
        row: row.id,
        field: row.field,
        title: row.label || (found?.field.name ?? row.field),
        options: found?.range ? undefined : options,
        left: elsewhere.length,
        reach: reaches.get(panel)?.get(row.id) ?? 0,
      };
    }),
  );
  const pageAt = (other: string) => shownPage(other, pages, pageFacts, first);
  const hasField = (key: string) => pageFacts.fields.some((field) => field.key === key);
  const findings = findPageFindings({
    page,
    pages,
    panels: here,
    all: panels,
    pageAt,
    pageFacts,
    answer,
    facets,
    hasField,
  });
  const { kind, name, within } = page;
  return { address, kind, name, within, products: answer.outOf, panels: standing, facets, findings };
}

/** The facets of several panels, a field once. */
const facetsOf = (panels: readonly PanelDocument[]): Facet[] =>
  engineFacets({ rows: panels.flatMap(({ rows }) => rows) }, "wide");
