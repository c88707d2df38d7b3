import type { Catalogue } from "../../catalogue/catalogue.ts";
import { compareCatalogues } from "../../catalogue/compare.ts";
import { isWholeText } from "../../catalogue/field.ts";
import { mendWords } from "../../catalogue/mend/mend-words.ts";
import type { Named, WholeShop } from "../../shop/archive/whole-shop.ts";
import { siteOf } from "../../shop/site.ts";
import { type Difference, differing, few, listDifferences, quoted, same } from "./differ.ts";
import { lookDifferences } from "./look.ts";
import { pagesDifferences } from "./pages.ts";
import { panelDifferences } from "./panel.ts";

const told = (where: string, all: Iterable<string>): Difference[] => [...all].map((words) => ({ where, words }));

/** Lists the changes between two versions of a shop, in words, by document. */
export function shopDifferences(before: WholeShop, after: WholeShop): Difference[] {
  const names = new Map([...before.catalogue.fields, ...after.catalogue.fields].map(({ key, name }) => [key, name]));
  const nameOf = (field: string) => names.get(field) ?? field;
  return [
    ...told("Shop", settingDifferences(before, after, nameOf)),
    ...many("Panel", before.panels, after.panels, (was, is) => panelDifferences(was, is, nameOf)),
    ...told("Pages", pagesDifferences(before.pages, after.pages)),
    ...many("Look", before.looks, after.looks, lookDifferences),
    ...told("Swatch book", swatchDifferences(before, after, nameOf)),
    ...told("Corrections", mendDifferences(before, after, nameOf)),
    ...told(
      "Catalogue",
      before.catalogue === after.catalogue ? [] : catalogueDifferences(before.catalogue, after.catalogue),
    ),
    ...told("Pictures", pictureDifferences(before, after)),
  ];
}

/** Documents of a kind, by their places in addresses. */
function many<D extends { name: string }>(
  what: string,
  before: readonly Named<D>[],
  after: readonly Named<D>[],
  inside: (before: D, after: D) => Iterable<string>,
): Difference[] {
  const titled = ({ document: { name } }: Named<D>) => `${what} ${quoted(name)}`;
  const found: Difference[] = [];
  for (const words of listDifferences(
    before,
    after,
    ({ slug }) => slug,
    titled,
    (was, is) => {
      found.push(...told(titled(is), inside(was.document, is.document)));
      return [];
    },
  ))
    found.push({ where: `${what}s`, words });
  return found;
}

function* settingDifferences(
  before: WholeShop,
  after: WholeShop,
  nameOf: (field: string) => string,
): Generator<string> {
  if (before.name !== after.name) yield `was renamed from ${quoted(before.name)} to ${quoted(after.name)}`;
  if (before.currency !== after.currency) yield `has prices in ${after.currency}, before: ${before.currency}`;
  const { limits, languages, look } = after.shop;
  if (!same(before.shop.limits, limits)) yield `medium starts at ${limits.medium} px, wide at ${limits.wide} px`;
  if (!same(before.shop.languages, languages)) yield `is in the languages ${languages.join(", ") || "its own only"}`;
  if (before.shop.look !== look) yield look === undefined ? "uses the default look" : `uses the look ${quoted(look)}`;
  const [wasSite, site] = [siteOf(before.shop), siteOf(after.shop)];
  if (wasSite.at !== site.at) yield `its files are at ${quoted(site.at)} on the site`;
  if (wasSite.link !== site.link) yield `its products are at ${quoted(site.link)} on the site`;
  if (wasSite.action !== site.action)
    yield site.action === "" ? "panels keep choices on their page" : `panels send choices to ${quoted(site.action)}`;
  for (const key of differing(wasSite.names, site.names))
    yield `${nameOf(key)} has the name ${quoted(site.names[key] ?? key)} in the site’s queries`;
}

function* swatchDifferences(before: WholeShop, after: WholeShop, nameOf: (field: string) => string): Generator<string> {
  const [was, is] = [before.swatches, after.swatches];
  const shared = differing(was.shared, is.shared);
  if (shared.length > 0) yield `${few(shared)} ${shared.length === 1 ? "has" : "have"} a different swatch`;
  for (const field of differing(was.own, is.own)) {
    const values = differing(was.own[field] ?? {}, is.own[field] ?? {});
    yield `${few(values)} ${values.length === 1 ? "has" : "have"} a different swatch in ${nameOf(field)} only`;
  }
  for (const field of differing(was.photos, is.photos)) {
    const values = differing(was.photos[field] ?? {}, is.photos[field] ?? {});
    yield `colours were read from the pictures of ${nameOf(field)}: ${values.length} ${values.length === 1 ? "value" : "values"}`;
  }
  for (const field of differing(was.order, is.order))
    yield `${nameOf(field)} uses its colour sources in a different order`;
  if (was.limit !== is.limit) yield `swatches count as too close below ${is.limit}, before: ${was.limit}`;
}

function* mendDifferences(before: WholeShop, after: WholeShop, nameOf: (field: string) => string): Generator<string> {
  yield* listDifferences(
    before.mends.mends,
    after.mends.mends,
    ({ id }) => id,
    (mend) => mendWords(mend, nameOf(mend.field)),
    (_, mend) => [`${mendWords(mend, nameOf(mend.field))}, changed`],
  );
}

function* catalogueDifferences(before: Catalogue, after: Catalogue): Generator<string> {
  const { added, gone, changed, fields } = compareCatalogues(before, after);
  const products = (count: number) => (count === 1 ? "one product" : `${count.toLocaleString("en")} products`);
  if (added.length > 0) yield `${products(added.length)} more: ${few(added.map(({ title }) => title))}`;
  if (gone.length > 0) yield `${products(gone.length)} removed: ${few(gone.map(({ title }) => title))}`;
  if (changed.length > 0) yield `${products(changed.length)} changed`;
  for (const { field, state, products: count, newValues, goneValues } of fields) {
    if (state === "added") yield `${quoted(field.name)} is a new field`;
    else if (state === "gone") yield `the field ${quoted(field.name)} was removed`;
    else if (count > 0) yield `${field.name} changed for ${products(count)}`;
    if (state === "kept" && !isWholeText(field.role) && field.kind !== "number") {
      if (newValues.length > 0) yield `${field.name}: new ${few(newValues)}`;
      if (goneValues.length > 0) yield `${field.name}: removed ${few(goneValues)}`;
    }
  }
}

function* pictureDifferences(before: WholeShop, after: WholeShop): Generator<string> {
  const more = [...after.pictures.keys()].filter((name) => !before.pictures.has(name)).length;
  const less = [...before.pictures.keys()].filter((name) => !after.pictures.has(name)).length;
  if (more > 0) yield more === 1 ? "one added" : `${more} added`;
  if (less > 0) yield less === 1 ? "one removed" : `${less} removed`;
}
