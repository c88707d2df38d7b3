import { differing, listDifferences, quoted, same, shortenedList } from "../document/differences.ts";
import { banded } from "../settings/banded-words.ts";
import type { LayoutChanges, PagesDocument } from "./pages-schema.ts";

/** The names of a layout's members. */
const layoutNames: Readonly<Record<keyof LayoutChanges, string>> = {
  panels: "panels",
  within: "standing conditions",
  sorts: "orders",
  size: "products of a page",
  more: "how more is shown",
  form: "grid, list or table",
  columns: "columns",
  card: "what a card shows",
  table: "the table’s columns",
  ratio: "the pictures’ shape",
  picture: "the pictures’ width",
  listing: "products below the text",
  nothing: "what is shown when nothing is found",
};

function valueWords(name: string, value: unknown): string | undefined {
  if (name === "panels" && Array.isArray(value))
    return value.length === 0 ? "none" : shortenedList(value.map(({ panel }: { panel: string }) => panel));
  if (typeof value === "boolean") return value ? "on" : "off";
  if (typeof value === "number" || (typeof value === "string" && name !== "nothing")) return String(value);
  if (typeof value === "object" && value !== null && "wide" in value)
    return banded(value as Record<string, unknown>, String);
  return undefined;
}

function* layoutDifferences(where: string, before: LayoutChanges, after: LayoutChanges): Generator<string> {
  for (const key of differing(before, after)) {
    const name = layoutNames[key as keyof LayoutChanges] ?? key;
    const now = (after as Record<string, unknown>)[key];
    const words = valueWords(key, now);
    if (now === undefined) yield `${where}: ${name} reset to the default`;
    else yield words === undefined ? `${where}: ${name} changed` : `${where}: ${name} now ${words}`;
  }
}

/** Names for the changes of a named thing, by member. */
function* memberDifferences(where: string, before: object, after: object): Generator<string> {
  const words: Record<string, string> = {
    html: "has a different text",
    of: "lists other products",
    names: "has a changed translation",
    titles: "has a changed translation",
    labels: "has a changed translation",
    order: "has a different sort order",
    height: "has a different height",
    stays: "stays on different bands",
    to: "has a different link",
    under: "has different entries below it",
  };
  for (const key of differing(before, after)) {
    const now = (after as Record<string, unknown>)[key];
    if (key === "name" || key === "title" || key === "label") yield `${where} was renamed to ${quoted(String(now))}`;
    else if (key === "slug") yield `${where} has the address ${quoted(String(now))}`;
    else yield `${where} ${words[key] ?? `has a different ${key}`}`;
  }
}

/** Lists the changes of a shop's pages. */
export function* pagesDifferences(before: PagesDocument, after: PagesDocument): Generator<string> {
  const collection = ({ name }: PagesDocument["collections"][number]) => `Collection ${quoted(name)}`;
  yield* listDifferences(
    before.collections,
    after.collections,
    ({ id }) => id,
    collection,
    (old, now) => memberDifferences(collection(old), old, now),
  );
  const article = ({ title }: PagesDocument["articles"][number]) => `Article ${quoted(title)}`;
  yield* listDifferences(
    before.articles,
    after.articles,
    ({ id }) => id,
    article,
    (old, now) => memberDifferences(article(old), old, now),
  );
  if (!same(before.everywhere, after.everywhere))
    yield* layoutDifferences("All pages", before.everywhere ?? {}, after.everywhere ?? {});
  for (const kind of differing(before.layouts, after.layouts)) {
    const key = kind as keyof PagesDocument["layouts"];
    yield* layoutDifferences(`Pages of the type “${kind}”`, before.layouts[key] ?? {}, after.layouts[key] ?? {});
  }
  for (const address of differing(before.exceptions, after.exceptions)) {
    const [was, is] = [before.exceptions[address], after.exceptions[address]];
    if (is === undefined) yield `${address} uses the layout of its page type again`;
    else yield* layoutDifferences(address, was ?? {}, is);
  }
  const bar = ({ name }: PagesDocument["bars"][number]) => `Bar ${quoted(name)}`;
  yield* listDifferences(
    before.bars,
    after.bars,
    ({ id }) => id,
    bar,
    (old, now) => memberDifferences(bar(old), old, now),
  );
  const entry = ({ label }: PagesDocument["menu"][number]) => `Menu entry ${quoted(label)}`;
  yield* listDifferences(
    before.menu,
    after.menu,
    ({ id }) => id,
    entry,
    (old, now) => memberDifferences(entry(old), old, now),
  );
  if (!same(before.search, after.search)) yield "The search uses different fields or weights";
}
