import type { RangeCount } from "../../engine/answer.ts";
import type { Choice, Facet, Selection, Sort } from "../../engine/question.ts";
import { emptySelection, isSameSelection, toggle, withChoice, without } from "../../engine/selection.ts";

/** Where a shopper is on a listing page, which is what the address bar holds. */
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

/** An order that can be chosen, as a question has it. */
interface Choosable {
  sort: Sort;
}

/** The order that a place is shown in: what the shopper chose, else the first that can be chosen, else (or where that is none) the page's own. */
export const orderOf = ({ sort }: Pick<BrowseState, "sort">, order: Sort, choices: readonly Choosable[]): Sort =>
  sort !== "" ? sort : choices[0]?.sort || order;

/** A shopper's act on a listing. */
export type Act =
  /** Takes an option in or out, as the facet's mode has it. */
  | { do: "toggle"; facet: Pick<Facet, "field" | "mode">; option: string }
  /** Replaces a field's choice; undefined clears it. */
  | { do: "choose"; field: string; choice: Choice | undefined }
  /** Leaves one thing chosen and nothing else. */
  | { do: "only"; field: string; choice: Choice }
  | { do: "search"; text: string }
  | { do: "clear" }
  /** Takes parts of the selection back. */
  | { do: "without"; parts: readonly RangeCount[] }
  | { do: "sort"; sort: Sort }
  | { do: "turn"; page: number };

/** The place that an act leads to. Every act but turning the page starts again at the first. */
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
