import { pathSeparator } from "../catalogue/path.ts";
import type { Banding } from "../evidence/round-bands.ts";
import type { Merge } from "../index/facet-index.ts";

/** How the choices within one facet combine. */
export type Mode = "any" | "all" | "one" | "range" | "tree";
export const modes: readonly Mode[] = ["any", "all", "one", "range", "tree"];

/** A facet as the engine sees it: one question over one field. */
export interface Facet {
  field: string;
  mode: Mode;
  /** Values that are one option; see {@link Merge}. */
  merges?: readonly Merge[];
  /** Ranges to be counted, for a facet whose mode is `range`. */
  bands?: BandSpec;
}

/** Ranges of a number line: parted by rule into about so many, between limits, or from each of some numbers up. */
export type BandSpec = { by: Banding; parts: number } | { limits: readonly number[] } | { from: readonly number[] };

/** Chosen options (identities, in the order chosen), or a range whose open ends are left out. */
export type Choice = { options: string[] } | Range;
export interface Range {
  min?: number;
  max?: number;
}

/** Field key → choice. A field without a choice is absent. */
export type Choices = Readonly<Record<string, Choice>>;

/** What a shopper has chosen on a page. */
export interface Selection {
  choices: Choices;
  /** Words to search for; empty for none. */
  text: string;
}

export const emptySelection: Selection = { choices: {}, text: "" };

export const isRange = (choice: Choice): choice is Range => !("options" in choice);

export const optionsOf = (choice: Choice | undefined): readonly string[] => (choice && "options" in choice ? choice.options : []);

export const rangeOf = (choice: Choice | undefined): Range => (choice && isRange(choice) ? choice : {});

/** The selection with one field's choice replaced at its place; an empty choice takes the field out. */
export function withChoice(selection: Selection, field: string, choice: Choice | undefined): Selection {
  const empty = !choice || (isRange(choice) ? choice.min === undefined && choice.max === undefined : choice.options.length === 0);
  if (!empty) return { ...selection, choices: { ...selection.choices, [field]: choice } };
  const { [field]: _old, ...rest } = selection.choices;
  return { ...selection, choices: rest };
}

/**
 * Takes an option in or out. In a one-of facet it takes the place of the present one; in a tree it
 * takes the place of the categories above and below it, which would make it mean nothing.
 */
export function toggle(selection: Selection, { field, mode }: Facet, option: string): Selection {
  const chosen = optionsOf(selection.choices[field]);
  const without = chosen.filter((id) => id !== option);
  if (without.length < chosen.length) return withChoice(selection, field, { options: without });
  if (mode === "one") return withChoice(selection, field, { options: [option] });
  const apart = (a: string, b: string) => !a.startsWith(b + pathSeparator) && !b.startsWith(a + pathSeparator);
  const others = mode === "tree" ? chosen.filter((id) => apart(id, option)) : chosen;
  return withChoice(selection, field, { options: [...others, option] });
}

/** Whether nothing at all is chosen. */
export const isEmpty = (selection: Selection): boolean => selection.text.trim() === "" && Object.keys(selection.choices).length === 0;

/**
 * The selection as far as it has a meaning for these facets: choices of other fields and choices of
 * the wrong shape are left out, and a one-of facet keeps its first option.
 */
export function fitSelection(selection: Selection, facets: readonly Facet[]): Selection {
  const choices: Record<string, Choice> = {};
  for (const { field, mode } of facets) {
    const choice = selection.choices[field];
    if (!choice || isRange(choice) !== (mode === "range")) continue;
    choices[field] = mode === "one" && !isRange(choice) && choice.options.length > 1 ? { options: choice.options.slice(0, 1) } : choice;
  }
  // The same object where nothing changes, so that what hangs on it need not be worked out anew.
  const same = Object.keys(selection.choices).every((key) => choices[key] === selection.choices[key]);
  return same ? selection : { ...selection, choices };
}
