import type { Clause, Selection } from "../engine/question.ts";
import type { PageRef } from "./page-list.ts";

/** Combines a page’s conditions with a selection. On the page of search results the words are a condition, not a choice. */
export const askedOn = (
  { kind, within }: { kind: PageRef["kind"]; within: Clause[] },
  selection: Selection,
): { within: Clause[]; selection: Selection } =>
  kind === "search"
    ? { within: [...within, [{ words: selection.text }]], selection: { ...selection, text: "" } }
    : { within, selection };
