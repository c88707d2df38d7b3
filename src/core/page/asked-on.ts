import type { Clause, Selection } from "../match/question.ts";
import type { PageRef } from "./page-list.ts";

/** What a page asks with what is chosen on it. What was searched for is what a page of search results is made of, and not a choice on it. */
export const askedOn = (
  { kind, within }: { kind: PageRef["kind"]; within: Clause[] },
  selection: Selection,
): { within: Clause[]; selection: Selection } =>
  kind === "search"
    ? { within: [...within, [{ words: selection.text }]], selection: { ...selection, text: "" } }
    : { within, selection };
