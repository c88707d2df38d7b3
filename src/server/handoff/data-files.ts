import { encodeCatalogue } from "../../core/catalogue/binary.ts";
import { handoffFormat, type ShopFile } from "../../storefront/handoff/wire.ts";
import type { Boot } from "../../storefront/shop/boot.ts";
import { wordsOf } from "../../storefront/words/spoken.ts";
import { usedFields } from "../used-fields.ts";
import type { WholeBoot } from "./open-whole.ts";

/** The data files that a handoff's script reads. */
export interface DataFiles {
  shop: Uint8Array;
  catalogue: Uint8Array;
  cards: Uint8Array;
}

/**
 * The shop data, and the fields of its catalogue that pages count, sort by and show.
 * @param slots names of the card template's slots
 * @param edition its number, if it is one
 * @param others the languages of pages besides the shop's own
 */
export function dataFiles(
  { shop, settings, pages, facts, around, site }: WholeBoot,
  boots: readonly Boot[],
  slots: readonly string[],
  edition: number | undefined,
  others: readonly string[],
): DataFiles {
  const { catalogue } = facts.index;
  const used = usedFields({
    fields: catalogue.fields,
    panels: boots.flatMap(({ panels }) => panels.map(({ panel }) => panel)),
    pages: boots.map(({ page }) => page),
    search: pages.search,
    slots,
  });
  const { language } = around;
  const words = wordsOf(language);
  const file: ShopFile = {
    format: handoffFormat,
    fields: catalogue.fields.filter(({ key }) => used.counted.has(key) || used.shown.has(key)),
    name: shop.name,
    ...(edition === undefined ? {} : { edition }),
    currency: shop.currency,
    limits: settings.limits,
    bars: pages.bars,
    search: pages.search,
    swatches: Object.assign({}, ...boots.map(({ swatches }) => swatches)),
    names: site.names,
    link: site.link,
    language,
    ...(words === wordsOf("en") ? {} : { words }),
    ...(others.length > 0 ? { spoken: Object.fromEntries(others.map((one) => [one, wordsOf(one)])) } : {}),
  };
  return {
    shop: new TextEncoder().encode(JSON.stringify(file)),
    catalogue: encodeCatalogue(catalogue, ({ key }) => used.counted.has(key)),
    cards: encodeCatalogue(catalogue, ({ key }) => used.shown.has(key)),
  };
}
