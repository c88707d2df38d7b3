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
  | "markup"
  | "page"
  | "display"
  | "list"
  | "products";

/** The details of the events, by their names. Each is sent to every element of its group, and once to the document. */
export interface TrellisEvents {
  /** The shopper has chosen, taken back or searched. */
  "trellis-change": CustomEvent<{ group: string; selection: TrellisSelection }>;
  /** Other products are found, or stand in another order. */
  "trellis-results": CustomEvent<{
    group: string;
    selection: TrellisSelection;
    /** Products found, out of all on the page. */
    total: number;
    outOf: number;
    /** Ids of those that are shown now, in their order. */
    shown: string[];
    /** Found products that a list of the site's own does not have. */
    missing: number;
  }>;
  /** Products can be counted from now on. Panels are awake before: what is chosen until then is counted then. */
  "trellis-ready": CustomEvent<{ group: string }>;
  /**
   * Something is missing, damaged or of another version. The form stays. Where only what is counted is missing, panels
   * keep what is chosen, say that there is no result, and ask again.
   */
  "trellis-trouble": CustomEvent<{ group: string; of: TrellisTroubleOf; file: string | undefined; message: string }>;
}

/**
 * `<trellis-panel>`. Attributes: `group` (elements of one group share a selection), `action` (choices are sent there),
 * `history` (`push`, `replace` or `none`: what becomes of the page's address; `push` for the group without a name).
 */
export interface TrellisPanelElement extends HTMLElement {
  /** The selection; setting it chooses. Undefined until the panel is ready. */
  get selection(): TrellisSelection | undefined;
  set selection(selection: TrellisSelection | undefined);
  /** Undefined until the panel is awake; until it is ready of the page with nothing chosen. */
  readonly results: { total: number; outOf: number } | undefined;
  /** The ids of all products that are found, in their order; none until the panel is ready. */
  found(): string[];
  /** Chooses in one field; without a choice it is taken back. */
  choose(field: string, choice?: TrellisChoice): void;
  clear(): void;
  openDrawer(): void;
  closeDrawer(): void;
}

/** `<trellis-listing>`. Attribute: `group`. Inside: a template with one card, and an element with `data-trellis-cards`. */
export interface TrellisListingElement extends HTMLElement {
  /** Shows a page of the products, from 1. */
  turn(page: number): void;
  /** Field keys joined by commas, a `-` in front of those that fall; empty for the page's own order. */
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
