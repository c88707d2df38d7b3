import type { InferType } from "yup";
import { isTwoValued } from "../catalogue/field-kinds.ts";
import { exact, listOf, oneOf, text } from "../document/schema.ts";
import { cardSchema } from "../engine/cards/card-schema.ts";
import { countsOf } from "../engine/engine.ts";
import { matchesWords, words } from "../engine/index/words.ts";
import { bestMatch } from "../engine/sort-keys.ts";
import { isShown, labelOf } from "../panel/options.ts";
import { facetRows, rulesOf } from "../panel/panel.ts";
import type { PanelDocument } from "../panel/panel-schema.ts";
import type { Facts } from "../profile/facts.ts";
import { pageKinds } from "../profile/page-kinds.ts";
import type { PageFacts } from "../profile/value-pages.ts";
import { toAddress } from "./browse-state/address.ts";
import { nextPlace, startPlace } from "./browse-state/browse-state.ts";
import { pageList, shopAddress } from "./page-list.ts";
import type { PagesDocument } from "./pages-schema.ts";

/** Suggestions while somebody types into a shop's search. */
export const suggestionsSchema = exact({
  /** The products that fit best. */
  products: listOf(cardSchema, 10),
  /** Pages with matching names: collections, categories, brands, tags, articles. */
  pages: listOf(exact({ address: text(2000), kind: oneOf(pageKinds), name: text(500) }), 10),
  /** Values to choose on the page of the whole shop: the facet, the option, and the resulting address. */
  values: listOf(exact({ address: text(4000), facet: text(500), label: text(10_000) }), 10),
  /** Similar searches that find something, if this one finds nothing. */
  near: listOf(text(1000), 10),
});

export type Suggestions = InferType<typeof suggestionsSchema>;

const maxProducts = 5;
const maxPages = 6;
const maxValues = 4;

/**
 * The suggestions for the beginning of a search; none for no words.
 * @param panels those on the page of the whole shop
 */
export async function suggestionsFor(
  facts: Pick<Facts, "ask" | "pageFacts">,
  pages: PagesDocument,
  panels: readonly PanelDocument[],
  asked: string,
): Promise<Suggestions> {
  const query = words(asked);
  if (query.length === 0) return { products: [], pages: [], values: [], near: [] };
  const question = countsOf([], { text: asked, choices: {} });
  const answer = await facts.ask({
    ...question,
    ...(pages.search ? { searching: pages.search } : {}),
    sort: bestMatch,
    size: maxProducts,
    mends: true,
  });
  const pageFacts = await facts.pageFacts();
  const named = pageList(pages, pageFacts).filter(({ name }) => name !== "" && matchesWords(name, query));
  return {
    products: [...answer.products],
    pages: named.slice(0, maxPages).map(({ address, kind, name }) => ({ address, kind, name })),
    values: valuesLike(query, panels, pageFacts),
    near: answer.near ?? [],
  };
}

/**
 * Options of panels with matching names, as shown to shoppers; values with pages of their own are offered as pages
 * instead.
 */
function valuesLike(query: readonly string[], panels: readonly PanelDocument[], { fields, optionsOf }: PageFacts) {
  const rows = panels.flatMap(facetRows).filter(({ mode }) => mode !== "range" && mode !== "tree");
  const found = rows.flatMap((row) => {
    const field = fields.find(({ key }) => key === row.field);
    if (!field || field.role === "brand" || field.role === "tags" || isTwoValued(field)) return [];
    const rules = rulesOf(row);
    return optionsOf(field.key)
      .filter(({ id }) => isShown(rules, id))
      .map((option) => ({ id: option.id, label: labelOf(rules, option, "") }))
      .filter(({ label }) => matchesWords(label, query))
      .map(({ id, label }) => ({
        address: shopAddress + toAddress(withOnly(field.key, id), () => field),
        facet: row.label || field.name,
        label,
      }));
  });
  return found
    .filter((one, at) => found.findIndex(({ address }) => address === one.address) === at)
    .slice(0, maxValues);
}

const withOnly = (field: string, option: string) =>
  nextPlace(startPlace, { do: "only", field, choice: { options: [option] } });
