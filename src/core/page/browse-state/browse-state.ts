import type { RangeCount } from "../../engine/answer.ts";
import type { Choice, Facet, Selection, Sort } from "../../engine/question.ts";
import { emptySelection, isSameSelection, toggle, withChoice, without } from "../../engine/selection.ts";

/** The state of a listing page, as kept in the address bar. */
export interface BrowseState {
  selection: Selection;
  sort: Sort;
  /** From 1. */
  page: number;
}

/** Nothing chosen, the shop's own order, the first page. */
export const startPlace: BrowseState = { selection: emptySelection, sort: "", page: 1 };

/** Whether two places are the same. */
export const isSamePlace = (a: BrowseState, b: BrowseState): boolean =>
  a.sort === b.sort && a.page === b.page && isSameSelection(a.selection, b.selection);

/** A selectable order, as in a question. */
interface Choosable {
  sort: Sort;
}

/**
 * The order in effect: the shopper's choice, otherwise the first selectable one, otherwise (or if that is empty) the
 * page's own.
 */
export const orderOf = ({ sort }: Pick<BrowseState, "sort">, order: Sort, choices: readonly Choosable[]): Sort =>
  sort !== "" ? sort : choices[0]?.sort || order;

/** A shopper's act on a listing. */
export type Act =
  /** Adds or removes an option, according to the facet's mode. */
  | { do: "toggle"; facet: Pick<Facet, "field" | "mode">; option: string }
  /** Replaces a field's choice; undefined clears it. */
  | { do: "choose"; field: string; choice: Choice | undefined }
  /** Chooses one thing and clears everything else. */
  | { do: "only"; field: string; choice: Choice }
  | { do: "search"; text: string }
  | { do: "clear" }
  /** Removes parts of the selection. */
  | { do: "without"; parts: readonly RangeCount[] }
  | { do: "sort"; sort: Sort }
  | { do: "turn"; page: number };

/** The place after an act. Every act except turning the page returns to the first page. */
export function nextPlace({ selection, sort }: BrowseState, act: Act): BrowseState {
  const selecting = (next: Selection): BrowseState => ({ selection: next, sort, page: 1 });
  switch (act.do) {
    case "toggle":
      return selecting(toggle(selection, act.facet, act.option));
    case "choose":
      return selecting(withChoice(selection, act.field, act.choice));
    case "only":
      return selecting(withChoice(emptySelection, act.field, act.choice));
    case "search":
      return selecting({ ...selection, text: act.text });
    case "without":
      return selecting(act.parts.reduce(without, selection));
    case "clear":
      return selecting(emptySelection);
    case "sort":
      return { selection, sort: act.sort, page: 1 };
    case "turn":
      return { selection, sort, page: Math.max(1, act.page) };
  }
}
