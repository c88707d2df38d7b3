import type { InferType } from "yup";
import { exact, listOf, oneOf, text } from "../document/schema.ts";
import type { Facts } from "../facts/facts.ts";
import { fitsWords, words } from "../index/words.ts";
import { cardSchema } from "../listing/card-schema.ts";
import { countsOf } from "../match/engine.ts";
import { bestMatch } from "../match/sort-keys.ts";
import { pageKinds } from "./layout.ts";
import { pageList } from "./page-list.ts";
import type { PagesDocument } from "./pages-schema.ts";

/** What is offered while somebody types into the search of a shop. */
export const suggestionsSchema = exact({
  /** The products that fit best. */
  products: listOf(cardSchema, 10),
  /** Pages whose names begin so: collections, categories, brands, tags, articles. */
  pages: listOf(exact({ address: text(2000), kind: oneOf(pageKinds), name: text(500) }), 10),
  /** Searches like this one that find something, where it finds nothing. */
  near: listOf(text(1000), 10),
});

export type Suggestions = InferType<typeof suggestionsSchema>;

const mostProducts = 5;
const mostPages = 6;

/** What to offer for the beginning of a search; nothing for no words. */
export async function suggestionsFor(facts: Facts, pages: PagesDocument, asked: string): Promise<Suggestions> {
  const query = words(asked);
  if (query.length === 0) return { products: [], pages: [], near: [] };
  const question = countsOf([], { text: asked, choices: {} });
  const answer = await facts.ask({
    ...question,
    ...(pages.search ? { searching: pages.search } : {}),
    sort: bestMatch,
    size: mostProducts,
    mends: true,
  });
  const named = pageList(pages, await facts.pageFacts()).filter(({ name }) => name !== "" && fitsWords(name, query));
  return {
    products: [...answer.products],
    pages: named.slice(0, mostPages).map(({ address, kind, name }) => ({ address, kind, name })),
    near: answer.near ?? [],
  };
}
