import { type Catalogue, titleOf } from "../catalogue/catalogue.ts";
import type { Choice, Facet } from "../engine/question.ts";
import { type Asked, Rows } from "./rows.ts";

/** Products counted by a number in the tool. */
export type CountedProducts =
  /** Matched by at least one of several selections, with the page’s conditions and the words. */
  | (Omit<Asked, "choices"> & { ways: readonly Asked["choices"][] })
  /** On a page, with a value for a field or without one. */
  | (Pick<Asked, "within"> & { field: string; states: boolean });

/** A product in a list. */
export interface RecountedProduct {
  id: string;
  title: string;
}

/** The products behind a number, in the catalogue's order, found by reading every row. */
export function recountProducts(catalogue: Catalogue, counted: CountedProducts): RecountedProduct[] {
  const rows = new Rows(catalogue);
  const whole = { within: counted.within, facets: [], choices: {}, text: "" };
  const isCounted = (product: number): boolean =>
    "field" in counted
      ? rows.matches(product, whole) && rows.states(product, counted.field) === counted.states
      : counted.ways.some((choices) => rows.matches(product, { ...counted, choices }));
  return catalogue.productIds.flatMap((id, product) =>
    isCounted(product) ? [{ id, title: titleOf(catalogue, product) }] : [],
  );
}

export interface RecountedOption {
  id: string;
  label: string;
}

/** Options counted by a number in the tool: the empty ones of some facets, for the current selection. */
export interface CountedOptions {
  asked: Asked;
  /** By facet, its title and its offered options. */
  offers: readonly { title: string; facet: Facet; options: readonly RecountedOption[] }[];
}

/** The options behind a number, each with its facet's title, found by trying one after another. */
export function recountOptions(
  catalogue: Catalogue,
  { asked, offers }: CountedOptions,
): (RecountedOption & { facet: string })[] {
  const rows = new Rows(catalogue);
  const findsNothing = (facet: Facet, option: string): boolean => {
    const chosen = Object.hasOwn(asked.choices, facet.field) ? asked.choices[facet.field] : undefined;
    const before = facet.mode === "all" && chosen && "options" in chosen ? chosen.options : [];
    const choice: Choice = { options: [...before, option] };
    const chosenToo = { ...asked, choices: { ...asked.choices, [facet.field]: choice } };
    return !catalogue.productIds.some((_, product) => rows.matches(product, chosenToo));
  };
  return offers.flatMap(({ title, facet, options }) =>
    options.flatMap(({ id, label }) => (findsNothing(facet, id) ? [{ facet: title, id, label }] : [])),
  );
}
