/** A choice in one field: options by their identities (lower case, single spaces), or a range; `min` and `max` are in it, `below` is not. */
export type TrellisChoice =
  | { options: string[] }
  | { min?: number | undefined; max?: number | undefined; below?: number | undefined };

/** The choices by field key, and the search words. */
export interface TrellisSelection {
  choices: Record<string, TrellisChoice>;
  text: string;
}

/** The subject of a trouble: a file of the handoff, or the page around it. */
export type TrellisTroubleOf =
  | "manifest"
  | "script"
  | "engine"
  | "style"
  | "shop"
  | "catalogue"
  | "cards"
  | "pieces"
  | "visits"
  | "check"
  | "markup"
  | "page"
  | "display"
  | "list"
  | "products";

/** The details of the events, by their names. Each is sent to every element of its group, and once to the document. */
export interface TrellisEvents {
  /** The selection or the search words have changed. */
  "trellis-change": CustomEvent<{ group: string; selection: TrellisSelection }>;
  /** The found products or their order have changed. */
  "trellis-results": CustomEvent<{
    group: string;
    selection: TrellisSelection;
    /** Number of products found, out of all on the page. */
    total: number;
    outOf: number;
    /** Ids of the visible products, in order. */
    shown: string[];
    /** The order that was chosen, empty for the page's own, and the results page, from 1. */
    sort: string;
    page: number;
    /** Number of found products that are missing from the site's own list. */
    missing: number;
  }>;
  /** Products can be counted from now on. Panels respond before that, and choices made until then are counted now. */
  "trellis-ready": CustomEvent<{ group: string }>;
  /**
   * Something is missing, damaged or of another version. The form remains. If only the catalogue is missing, panels
   * keep the choices, report that there is no result, and try again.
   */
  "trellis-trouble": CustomEvent<{ group: string; of: TrellisTroubleOf; file: string | undefined; message: string }>;
}

/**
 * `<trellis-panel>`. Attributes: `name` (of the panel; an empty element fills itself), `page` (the shop’s page, if the address doesn’t say it), `group` (elements of one group share a selection), `action` (address that choices are
 * sent to), `history` (`push`, `replace` or `none`: how the page's address changes; `push` for the group without a
 * name).
 */
export interface TrellisPanelElement extends HTMLElement {
  /** The selection; can be set. Undefined until the panel is ready. */
  get selection(): TrellisSelection | undefined;
  set selection(selection: TrellisSelection | undefined);
  /** Undefined until the panel responds; until it is ready, those with nothing chosen. */
  readonly results: { total: number; outOf: number } | undefined;
  /** Where it is; undefined until the panel responds. `page` is the shop’s address of the page. */
  readonly place: { page: string; band: "wide" | "medium" | "slim"; edition?: number } | undefined;
  /** The ids of all products found, in order; none until the panel is ready. */
  found(): string[];
  /** Sets the choice of one field; without a choice it is cleared. */
  choose(field: string, choice?: TrellisChoice): void;
  clear(): void;
  openDrawer(): void;
  closeDrawer(): void;
}

/** `<trellis-listing>`. Attributes: `group`, `page`. An empty one fills itself. Inside: a template with one card, and an element with `data-trellis-cards`. */
export interface TrellisListingElement extends HTMLElement {
  /** Shows a results page, from 1. */
  turn(page: number): void;
  /** Sets the order: field keys joined by commas, with `-` for descending; empty for the page's own order. */
  sort(sort: string): void;
}

declare global {
  interface HTMLElementTagNameMap {
    "trellis-panel": TrellisPanelElement;
    "trellis-listing": TrellisListingElement;
  }
  interface HTMLElementEventMap extends TrellisEvents {}
  interface DocumentEventMap extends TrellisEvents {}
}
