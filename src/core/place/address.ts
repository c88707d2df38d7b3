import type { Field } from "../catalogue/field.ts";
import { identity } from "../catalogue/identity.ts";
import { fromNumber, toNumber } from "../catalogue/values.ts";
import type { Choice, Facet, Selection } from "../match/question.ts";
import { emptySelection, isRange, withChoice } from "../match/selection.ts";
import { namedSorts, sortKeys } from "../match/sort-keys.ts";
import type { Place } from "./place.ts";

type FieldOf = (key: string) => Field | undefined;

/** Names of a range's two inputs, in addresses and in the form that works without scripts. */
export const rangeNames = (field: string) => ({ min: `${field}.min`, max: `${field}.max` });

/** Every name under which a field's choice can stand. */
export const namesOf = (field: string): string[] => [field, ...Object.values(rangeNames(field))];

const own = ["q", "sort", "page"];

/**
 * A place as a query string, with its `?` when there is anything to say. Options stand as their
 * identities, one parameter each, which is also what the plain form sends.
 * @param present the query that the address has now: all in it that is not about the place stays, in front
 * @param facets facets of the page, whose parameters are the place's
 */
export function toAddress(
  { selection, sort, page }: Place,
  fieldOf: FieldOf,
  present = "",
  facets: readonly Pick<Facet, "field">[] = [],
): string {
  const query = new URLSearchParams(present);
  for (const name of own) query.delete(name);
  for (const key of [...facets.map(({ field }) => field), ...Object.keys(selection.choices)])
    for (const name of namesOf(key)) query.delete(name);
  if (selection.text.trim()) query.set("q", selection.text.trim());
  for (const [key, choice] of Object.entries(selection.choices)) {
    if (!isRange(choice)) for (const id of choice.options) query.append(key, id);
    else {
      const kind = fieldOf(key)?.kind ?? "number";
      const names = rangeNames(key);
      if (choice.min !== undefined) query.set(names.min, fromNumber(choice.min, kind));
      if (choice.max !== undefined) query.set(names.max, fromNumber(choice.max, kind));
    }
  }
  if (sort !== "") query.set("sort", sort);
  if (page > 1) query.set("page", String(page));
  const text = query.toString();
  return text === "" ? "" : `?${text}`;
}

/** Reads a query string for a page's facets. What it does not understand it leaves out. */
export function fromAddress(search: string, facets: readonly Pick<Facet, "field" | "mode">[], fieldOf: FieldOf): Place {
  const query = new URLSearchParams(search);
  let selection: Selection = { ...emptySelection, text: (query.get("q") ?? "").slice(0, 1000) };
  for (const { field: key, mode } of facets) {
    const field = fieldOf(key);
    if (field)
      selection = withChoice(
        selection,
        key,
        mode === "range" ? readRange(query, field) : readOptions(query, key, mode === "one"),
      );
  }
  const asked = query.get("sort") ?? "";
  const sort = namedSorts.includes(asked)
    ? asked
    : sortKeys(asked, (key) => fieldOf(key) !== undefined)
        .map(({ field, down }) => `${down ? "-" : ""}${field}`)
        .join(",");
  const page = Number(query.get("page"));
  return { selection, sort, page: Number.isSafeInteger(page) && page > 1 ? page : 1 };
}

function readOptions(query: URLSearchParams, key: string, single: boolean): Choice {
  const options = [...new Set(query.getAll(key).map(identity).filter(Boolean))];
  return { options: single ? options.slice(0, 1) : options };
}

function readRange(query: URLSearchParams, { key, kind }: Field): Choice {
  const names = rangeNames(key);
  const end = (name: string) => {
    const value = toNumber(query.get(name) ?? "", kind);
    return Number.isNaN(value) ? undefined : value;
  };
  return { min: end(names.min), max: end(names.max) };
}

/**
 * What stands in the present query and is not about a panel's choices or the page, which a plain form would lose.
 * @param facets facets that the form has inputs for
 * @param searches whether it has one for the words to search for
 */
export function heldBack(
  present: string,
  facets: readonly Pick<Facet, "field">[],
  searches: boolean,
): [name: string, value: string][] {
  const sent = new Set([...(searches ? ["q"] : []), "page", ...facets.flatMap(({ field }) => namesOf(field))]);
  return [...new URLSearchParams(present)].filter(([name]) => !sent.has(name));
}
