import { boolean, type InferType, type ISchema, number, string } from "yup";
import {
  byMember,
  exact,
  listOf,
  oneOf,
  optionalRecord,
  record,
  richText,
  someText,
  text,
  wholeIn,
} from "../document/schema.ts";
import { searching } from "../engine/index/search-schema.ts";
import { condition } from "../engine/question.ts";
import type { PageKind } from "../profile/page-kinds.ts";
import { isSafeAddress } from "../sanitize/safe-address.ts";
import type { Band } from "../settings/band.ts";
import { placements } from "../settings/placement.ts";
import { cellParts, listForms, moreWays, ratios } from "./listing-choices.ts";

/** Version of the pages format that this code writes. */
export const pagesFormat = 1;

const id = () =>
  string()
    .strict()
    .matches(/^[\w-]{1,60}$/, ({ path }) => `${path} must be 1 to 60 letters, digits, - or _`)
    .required();

/** A part of an address: letters of any script, digits and hyphens. */
const slug = () =>
  string()
    .strict()
    .matches(/^[\p{Ll}\p{Lo}\p{N}-]{1,100}$/u, ({ path }) => `${path} must be small letters, digits and hyphens`)
    .required();

const others = optionalRecord(text(500));

/** A text for the wide band, and for narrower bands that differ. */
const bandedText = <T extends string>(values: readonly T[]) => {
  const one = string<T>().strict().oneOf(values);
  return exact({ wide: one.required(), medium: one.optional(), slim: one.optional() });
};
const bandedWhole = (least: number, most: number) => {
  const one = wholeIn(least, most);
  return exact({ wide: one.required(), medium: one.optional(), slim: one.optional() } satisfies Record<Band, unknown>);
};
const bandedYes = () => {
  const one = boolean().strict();
  return exact({ wide: one.required(), medium: one.optional(), slim: one.optional() });
};

/** A panel on a page. */
const standing = exact({
  /** Its place in addresses. */
  panel: someText(500),
  /** Its placement here, if it differs from the panel's own. */
  at: bandedText(placements).optional().default(undefined),
  /** In an article: after this many blocks of the text. */
  after: wholeIn(0, 1000).optional(),
});

/** An order offered to shoppers. */
const sortChoice = exact({
  id: id(),
  /** As in a question: field keys joined by commas, with `-` for descending; `best` for relevance. */
  sort: text(500),
  label: text(200),
  labels: others,
});

const cell = exact({ part: oneOf(cellParts), field: text(500).optional() });
/** A column of a table, with one or several parts below one another. */
const column = exact({ title: text(200), titles: others, cells: listOf(cell, 12) });

/** The settings of a page type or of one page; absent ones are inherited from the page type, then from the default. */
export const layoutChanges = exact({
  /** In order; panels in one slot follow one another. */
  panels: listOf(standing, 20).optional().default(undefined),
  /** Conditions on every product of the page, not visible to shoppers. */
  within: listOf(condition, 50).optional().default(undefined),
  /** Empty for the defaults. The first is the page's order. */
  sorts: listOf(sortChoice, 30).optional().default(undefined),
  /** Products of one page. */
  size: wholeIn(1, 200).optional(),
  more: string().strict().oneOf(moreWays).optional(),
  form: bandedText(listForms).optional().default(undefined),
  /** Number of columns of the grid; 0 for as many as fit. */
  columns: bandedWhole(0, 8).optional().default(undefined),
  card: listOf(cell, 20).optional().default(undefined),
  table: listOf(column, 20).optional().default(undefined),
  ratio: string()
    .strict()
    .oneOf(Object.keys(ratios) as (keyof typeof ratios)[])
    .optional(),
  /** Width of a picture in lists and tables, in CSS px. */
  picture: wholeIn(24, 400).optional(),
  /** Whether an article lists products below its text. */
  listing: boolean().strict().optional(),
  /** The text shown when nothing matches, above the filters that can be removed. */
  nothing: richText(20_000).optional(),
});

const byConditions = exact({
  by: oneOf(["conditions"]),
  /** All of them, by one and the same variant where they are variant-level, or any. */
  join: oneOf(["all", "any"]),
  conditions: listOf(condition, 50),
});
const byHand = exact({ by: oneOf(["hand"]), products: listOf(someText(10_000), 10_000) });
const byValue = exact({ by: oneOf(["value"]), field: someText(500) });

const collection = exact({
  id: id(),
  slug: slug(),
  name: text(200),
  names: others,
  /** Stands above the products. */
  html: richText(20_000),
  /** Its products: those that meet conditions, those picked, or one collection for each value of a field. */
  of: byMember("by", { conditions: byConditions, hand: byHand, value: byValue }),
  /** Its own order, as in a question; empty for the catalogue's. */
  order: text(500),
});

const article = exact({ id: id(), slug: slug(), title: text(200), titles: others, html: richText(100_000) });

/** A bar of the shop at the top of every page. */
const bar = exact({
  id: id(),
  name: text(100),
  /** In CSS px. */
  height: bandedWhole(0, 400),
  /** Whether it stays while the page scrolls. */
  stays: bandedYes(),
});

const menuEntry = exact({
  id: id(),
  label: text(100),
  labels: others,
  to: text(2000).test(
    "safe",
    ({ path }) => `${path} must begin with https://, mailto:, tel:, / or ?`,
    (address) => !address || isSafeAddress(address),
  ),
});

const ownLayout = () => layoutChanges.optional().default(undefined);

/** A list of pages with distinct addresses. */
const apart = <T extends { slug: string }>(item: ISchema<T>, most: number) =>
  listOf(item, most).test("apart", (list, context) => {
    // Invalid items are reported by their own schema.
    const slugs = (list as readonly ({ slug: string } | null | undefined)[]).map((one) => one?.slug);
    const at = slugs.findIndex((own, i) => own !== undefined && slugs.indexOf(own) < i);
    if (at < 0) return true;
    const path = `${context.path}[${at}].slug`;
    return context.createError({ path, message: `${path} is already used by a different page: “${list[at]?.slug}”` });
  });

/** A shop's pages: collections, articles, settings by kind and page, and the shared bars and menu. */
export const pagesSchema = exact({
  format: number<typeof pagesFormat>().strict().oneOf([pagesFormat]).required(),
  collections: apart(collection, 1000),
  articles: apart(article, 500),
  /** The settings of all pages, unless their type or they themselves override them. */
  everywhere: ownLayout(),
  layouts: exact({
    shop: ownLayout(),
    collection: ownLayout(),
    category: ownLayout(),
    brand: ownLayout(),
    tag: ownLayout(),
    search: ownLayout(),
    article: ownLayout(),
  } satisfies Record<PageKind, unknown>),
  /** By address, the settings in which one page differs from its kind. */
  exceptions: record(layoutChanges),
  bars: listOf(bar, 10),
  menu: listOf(menuEntry, 60),
  /** The weights of fields' words in a search; fields that are not named have the default weight. */
  search: searching.optional().default(undefined),
});

export type PagesDocument = InferType<typeof pagesSchema>;
export type LayoutChanges = InferType<typeof layoutChanges>;
export type Collection = InferType<typeof collection>;
export type Article = InferType<typeof article>;
export type Bar = InferType<typeof bar>;
export type MenuEntry = InferType<typeof menuEntry>;
export type PanelOnPage = InferType<typeof standing>;
export type SortChoice = InferType<typeof sortChoice>;
export type Cell = InferType<typeof cell>;
export type TableColumn = InferType<typeof column>;
