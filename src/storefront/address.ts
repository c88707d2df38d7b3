import type { Field } from "../core/catalogue/field.ts";
import { identity } from "../core/catalogue/identity.ts";
import { fromNumber, toNumber } from "../core/catalogue/values.ts";
import { type Sort, sortKeys } from "../core/match/order.ts";
import { type Choice, emptySelection, isRange, type Selection, withChoice } from "../core/match/selection.ts";
import { facetRows, type PanelDocument } from "../core/panel/document.ts";

/** What the address bar of a listing page holds. */
export interface Place {
  selection: Selection;
  sort: Sort;
  /** From 1. */
  page: number;
}

export const startPlace: Place = { selection: emptySelection, sort: "", page: 1 };

type FieldOf = (key: string) => Field | undefined;

/** Names of a range's two inputs, in addresses and in the form that works without scripts. */
export const rangeNames = (field: string) => ({ min: `${field}.min`, max: `${field}.max` });

/**
 * A place as a query string, with its `?` when there is anything to say. Options stand as their
 * identities, one parameter each, which is also what the plain form sends.
 */
export function toAddress({ selection, sort, page }: Place, fieldOf: FieldOf): string {
  const query = new URLSearchParams();
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

/** Reads a query string for the panel's facets. What it does not understand it leaves out. */
export function fromAddress(search: string, panel: PanelDocument, fieldOf: FieldOf): Place {
  const query = new URLSearchParams(search);
  let selection: Selection = { choices: {}, text: query.get("q") ?? "" };
  for (const { field: key, mode } of facetRows(panel)) {
    const field = fieldOf(key);
    if (field) selection = withChoice(selection, key, mode === "range" ? readRange(query, field) : readOptions(query, key, mode === "one"));
  }
  const sort = sortKeys(query.get("sort") ?? "", (key) => fieldOf(key) !== undefined)
    .map(({ field, down }) => `${down ? "-" : ""}${field}`)
    .join(",");
  const page = Number(query.get("page"));
  return { selection, sort, page: Number.isInteger(page) && page > 1 ? page : 1 };
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
