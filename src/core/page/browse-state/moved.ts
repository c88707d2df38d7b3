import { choiceOf, isRange, isSameChoice } from "../../engine/selection.ts";
import type { BrowseState } from "./browse-state.ts";

/**
 * The part of the state that a step changes continuously: the ends of one field's range, or the search words.
 * @returns a name, equal for steps of the same part; undefined for any other step
 */
export function continuousPart(
  { selection: before, sort }: BrowseState,
  { selection: after, ...next }: BrowseState,
): string | undefined {
  if (sort !== next.sort) return undefined;
  const fields = new Set([...Object.keys(before.choices), ...Object.keys(after.choices)]);
  const changed = [...fields].filter((field) => !isSameChoice(choiceOf(before, field), choiceOf(after, field)));
  const [field] = changed;
  if (field === undefined) return before.text === after.text ? undefined : "words";
  if (changed.length > 1 || before.text !== after.text) return undefined;
  const ranges = [choiceOf(before, field), choiceOf(after, field)].every((choice) => !choice || isRange(choice));
  return ranges ? `range of ${field}` : undefined;
}
