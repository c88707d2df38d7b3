import { isOpen, isSameRange } from "../catalogue/numbers/range.ts";
import type { Range } from "../catalogue/numbers/range-schema.ts";
import { pathSeparator } from "../catalogue/path.ts";
import type { RangeCount } from "./answer.ts";
import type { Choice, Facet, Selection } from "./question.ts";

/** Nothing chosen and nothing searched for. */
export const emptySelection: Selection = { choices: {}, text: "" };

/** Whether a choice is a range rather than a list of options. */
export const isRange = (choice: Choice): choice is Range => !("options" in choice);

/** How many options are chosen in a facet; a range is one. */
export const chosenIn = (choice: Choice | undefined): number =>
  choice === undefined ? 0 : isRange(choice) ? 1 : choice.options.length;

/** The options of a choice by their identities; none for a range and for no choice. */
export const optionsOf = (choice: Choice | undefined): readonly string[] =>
  choice && "options" in choice ? choice.options : [];

/** The range of a choice; open at both ends for options and for no choice. */
export const rangeOf = (choice: Choice | undefined): Range => (choice && isRange(choice) ? choice : {});

/** The choice of a field; safe for any field key. */
export const choiceOf = ({ choices }: Pick<Selection, "choices">, field: string): Choice | undefined =>
  Object.hasOwn(choices, field) ? choices[field] : undefined;

/** The selection with one field's choice replaced in place; an empty choice removes the field. */
export function withChoice(selection: Selection, field: string, choice: Choice | undefined): Selection {
  const empty = !choice || (isRange(choice) ? isOpen(choice) : choice.options.length === 0);
  if (!empty) return { ...selection, choices: { ...selection.choices, [field]: choice } };
  const { [field]: _old, ...rest } = selection.choices;
  return { ...selection, choices: rest };
}

/**
 * Adds or removes an option. In a one-of facet it replaces the present one; in a tree it replaces its ancestors and
 * descendants, which would make it redundant.
 */
export function toggle(
  selection: Selection,
  { field, mode }: Pick<Facet, "field" | "mode">,
  option: string,
): Selection {
  const chosen = optionsOf(choiceOf(selection, field));
  const without = chosen.filter((id) => id !== option);
  if (without.length < chosen.length) return withChoice(selection, field, { options: without });
  if (mode === "one") return withChoice(selection, field, { options: [option] });
  const apart = (a: string, b: string) => !a.startsWith(b + pathSeparator) && !b.startsWith(a + pathSeparator);
  const others = mode === "tree" ? chosen.filter((id) => apart(id, option)) : chosen;
  return withChoice(selection, field, { options: [...others, option] });
}

/** Whether nothing at all is chosen. */
export const isEmpty = (selection: Selection): boolean =>
  selection.text.trim() === "" && Object.keys(selection.choices).length === 0;

/** Whether two selections choose the same, in the same order. */
export function isSameSelection(a: Selection, b: Selection): boolean {
  const [mine, theirs] = [Object.entries(a.choices), Object.entries(b.choices)];
  return (
    a.text === b.text &&
    mine.length === theirs.length &&
    mine.every(([field, choice], at) => theirs[at]?.[0] === field && isSameChoice(choice, theirs[at][1]))
  );
}

/** Whether two choices of a field are the same; undefined is none. */
export function isSameChoice(a: Choice | undefined, b: Choice | undefined): boolean {
  if (!a || !b) return a === b;
  if (isRange(a) || isRange(b)) return isRange(a) && isRange(b) && isSameRange(a, b);
  return a.options.length === b.options.length && a.options.every((id, at) => id === b.options[at]);
}

/**
 * The selection reduced to what these facets allow: choices of other fields or of the wrong shape are dropped, and a
 * one-of facet keeps its first option.
 */
export function fitSelection(selection: Selection, facets: readonly Facet[]): Selection {
  const choices: Record<string, Choice> = {};
  for (const { field, mode } of facets) {
    const choice = choiceOf(selection, field);
    if (!choice || isRange(choice) !== (mode === "range")) continue;
    choices[field] =
      mode === "one" && !isRange(choice) && choice.options.length > 1
        ? { options: choice.options.slice(0, 1) }
        : choice;
  }
  // Returns the same object if nothing changes, so that dependents need not recompute.
  const same = Object.keys(selection.choices).every((key) => choices[key] === selection.choices[key]);
  return same ? selection : { ...selection, choices };
}

/** The selection without a part. */
export function without(selection: Selection, { field, option }: RangeCount): Selection {
  if (field === undefined) return { ...selection, text: "" };
  const rest = optionsOf(choiceOf(selection, field)).filter((id) => id !== option);
  return withChoice(selection, field, option === undefined ? undefined : { options: rest });
}
