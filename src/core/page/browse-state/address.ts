import type { Field } from "../../catalogue/field.ts";
import { fromNumber, toNumber } from "../../catalogue/field-kinds.ts";
import { identity } from "../../catalogue/identity.ts";
import type { Choice, Facet, Selection } from "../../engine/question.ts";
import { emptySelection, isRange, withChoice } from "../../engine/selection.ts";
import { namedSorts, sortKeys } from "../../engine/sort-keys.ts";
import type { BrowseState } from "./browse-state.ts";

/** A field by its key, where the catalogue has it. */
export type FieldOf = (key: string) => Field | undefined;

/**
 * The names of fields in queries, and of the search words (`q`), the sort order (`sort`) and the results page
 * (`page`), where a site wants other names. The default is the field's key.
 */
export type QueryNames = Readonly<Record<string, string>>;

/** The name in a query of a field, or of `q`, `sort` or `page`. */
export const nameIn = (names: QueryNames, key: string): string => (Object.hasOwn(names, key) ? names[key] : key) ?? key;

/** Names of a range's ends, in addresses and in the form without scripts. @param name of the field in queries */
export const rangeNames = (name: string) => ({
  min: `${name}.min`,
  max: `${name}.max`,
  below: `${name}.below`,
});

/** Every parameter name for the choice of a field. @param name of the field in queries */
export const namesOf = (name: string): string[] => [name, ...Object.values(rangeNames(name))];

const own = ["q", "sort", "page"];

/**
 * A place as a query string, with its `?` unless it is empty. Options are given by identity, one parameter each, as
 * the plain form sends them.
 * @param present the present query: parameters that don't belong to the place are kept, in front
 * @param facets facets of the page, whose parameters belong to the place
 */
export function toAddress(
  { selection, sort, page }: BrowseState,
  fieldOf: FieldOf,
  present = "",
  facets: readonly Pick<Facet, "field">[] = [],
  names: QueryNames = {},
): string {
  const query = new URLSearchParams(present);
  const called = (key: string) => nameIn(names, key);
  for (const name of own) query.delete(called(name));
  for (const key of [...facets.map(({ field }) => field), ...Object.keys(selection.choices)])
    for (const name of namesOf(called(key))) query.delete(name);
  if (selection.text.trim()) query.set(called("q"), selection.text.trim());
  for (const [key, choice] of Object.entries(selection.choices)) {
    if (!isRange(choice)) for (const id of choice.options) query.append(called(key), id);
    else {
      const kind = fieldOf(key)?.kind ?? "number";
      const ends = rangeNames(called(key));
      for (const end of ["min", "max", "below"] as const) {
        const value = choice[end];
        if (value !== undefined) query.set(ends[end], fromNumber(value, kind));
      }
    }
  }
  if (sort !== "") query.set(called("sort"), sort);
  if (page > 1) query.set(called("page"), String(page));
  const text = query.toString();
  return text === "" ? "" : `?${text}`;
}

/**
 * Reads a query string for a page's facets. Unknown parameters are ignored. Fields keep the query's order, in which
 * they were chosen, so that a shared link shows the chosen filters in the same order.
 */
export function fromAddress(
  search: string,
  facets: readonly Pick<Facet, "field" | "mode">[],
  fieldOf: FieldOf,
  names: QueryNames = {},
): BrowseState {
  const query = new URLSearchParams(search);
  const called = (key: string) => nameIn(names, key);
  let selection: Selection = { ...emptySelection, text: (query.get(called("q")) ?? "").slice(0, 1000) };
  const byName = new Map(facets.flatMap((facet) => namesOf(called(facet.field)).map((name) => [name, facet])));
  for (const { field: key, mode } of new Set([...query.keys()].flatMap((name) => byName.get(name) ?? []))) {
    const field = fieldOf(key);
    if (field)
      selection = withChoice(
        selection,
        key,
        mode === "range" ? readRange(query, called(key), field) : readOptions(query, called(key), mode === "one"),
      );
  }
  const asked = query.get(called("sort")) ?? "";
  const sort = namedSorts.includes(asked)
    ? asked
    : sortKeys(asked, (key) => fieldOf(key) !== undefined)
        .map(({ field, down }) => `${down ? "-" : ""}${field}`)
        .join(",");
  const page = Number(query.get(called("page")));
  return { selection, sort, page: Number.isSafeInteger(page) && page > 1 ? page : 1 };
}

function readOptions(query: URLSearchParams, name: string, single: boolean): Choice {
  const options = [...new Set(query.getAll(name).map(identity).filter(Boolean))];
  return { options: single ? options.slice(0, 1) : options };
}

function readRange(query: URLSearchParams, name: string, { kind }: Field): Choice {
  const ends = rangeNames(name);
  const end = (one: string) => {
    // Without scripts a form sends a number as it is written in its language; three digits may be thousands.
    const value = toNumber((query.get(one) ?? "").replace(/,(?!\d{3}$)/, "."), kind);
    return Number.isNaN(value) ? undefined : value;
  };
  return { min: end(ends.min), max: end(ends.max), below: end(ends.below) };
}

/**
 * The parameters of the present query that a plain form would lose.
 * @param facets facets with inputs in the form
 * @param searches whether the form has a search field
 */
export function otherParameters(
  present: string,
  facets: readonly Pick<Facet, "field">[],
  searches: boolean,
  names: QueryNames = {},
): [name: string, value: string][] {
  const sent = new Set([
    ...(searches ? [nameIn(names, "q")] : []),
    nameIn(names, "page"),
    ...facets.flatMap(({ field }) => namesOf(nameIn(names, field))),
  ]);
  return [...new URLSearchParams(present)].filter(([name]) => !sent.has(name));
}
