import type { DisplayName } from "../../core/displays/displays.ts";
import type { Clause, Facet } from "../../core/engine/question.ts";
import type { PanelOnPage } from "../../core/page/pages-schema.ts";
import { type BandGroup, bandGroups } from "../../core/panel/band-groups.ts";
import { engineFacets, facetRows } from "../../core/panel/panel.ts";
import type { PanelDocument } from "../../core/panel/panel-schema.ts";
import { type Band, bands, resolve } from "../../core/settings/band.ts";
import { type Behaviour, behaviours } from "../../core/settings/behaviour.ts";
import type { Placement } from "../../core/settings/placement.ts";

/** A panel on a page. */
export interface PagePanel extends Pick<PanelOnPage, "at" | "after"> {
  /** Its slug, which prefixes ids on the page. */
  slug: string;
  panel: PanelDocument;
  /** The other page to which its choices are sent. */
  target?: SendTarget | undefined;
}

/** A page that receives choices. */
export interface SendTarget {
  address: string;
  /** The conditions of that page's products. */
  within: Clause[];
  /** The site uses the panel as a form that leads there: it has a button, as forms have. */
  form?: boolean;
}

/** How a panel's choices take effect: at once, or with a button. */
export const appliesBy = (
  { target }: Pick<PagePanel, "target">,
  { apply }: Pick<Behaviour, "apply">,
): Behaviour["apply"] => (target?.form ? "button" : apply);

/** A panel's behaviour on a band. */
export const behaviourOn = ({ behaviour }: PanelDocument, band: Band): Behaviour =>
  behaviours.allOn(behaviour ?? {}, band);

/** The placement of a page's panel on a band. */
export const placeOf = ({ panel, at }: PagePanel, band: Band): Placement => resolve(at ?? panel.placement, band);

const known = new WeakMap<PagePanel, BandGroup[]>();

/** The groups of bands on which a page's panel is drawn alike; cached. */
export function groupsOf(one: PagePanel): BandGroup[] {
  const groups = known.get(one) ?? bandGroups({ ...one.panel, placement: one.at ?? one.panel.placement });
  known.set(one, groups);
  return groups;
}

/** The facets of all panels of a page on a band. If two panels have one field in different modes, the first applies. */
export const facetsOf = (panels: readonly PagePanel[], band: Band): Facet[] =>
  engineFacets({ rows: panels.flatMap(({ panel }) => panel.rows) }, band);

/** The displays that panels use, on one band or on all. */
export const displaysOf = (panels: readonly PagePanel[], on: readonly Band[] = bands): DisplayName[] => [
  ...new Set(
    panels.flatMap(({ panel }) => facetRows(panel).flatMap(({ display }) => on.map((band) => resolve(display, band)))),
  ),
];
