import type { SqlEntityManager } from "@mikro-orm/libsql";
import { dateTimeFormat } from "../../core/document/date-time.ts";
import { HttpError } from "../http-error.ts";
import { draftOf } from "../store/draft-source.ts";
import { editionOf } from "../store/editions.ts";
import { openPreview, sourceOfPreview } from "../store/previews.ts";
import type { ShopSource } from "../store/source.ts";
import { shopRefOf } from "./request.ts";
import type { StateMark } from "./version-badge.ts";

/** The state that pages are drawn from: the one for shoppers, the draft, an edition by its number, or a preview. */
export type PagesOf = "shoppers" | "draft" | "edition" | "preview";

/** The source of a page, and how the page tells it. */
export interface PageSource {
  source: ShopSource;
  /** Prefix of all addresses. */
  base: string;
  /** Label of the state, if it isn't the one for shoppers. */
  mark: StateMark | undefined;
  /** Key of the preview, if it is one. */
  preview?: string;
}

/**
 * Finds the source of a page.
 * @param slug of its shop
 * @param number of its edition, or the key of its preview
 * @throws HttpError if there is none
 */
export type FindPageSource = (of: PagesOf, slug: string, number: string) => Promise<PageSource>;

/** The pages of the database's shops. */
export const pagesInDatabase =
  (fork: () => SqlEntityManager): FindPageSource =>
  (of, slug, number) =>
    sourceAt(fork(), of, slug, number);

async function sourceAt(em: SqlEntityManager, of: PagesOf, slug: string, number: string): Promise<PageSource> {
  if (of === "preview") return previewAt(em, number);
  const shop = await shopRefOf(em, slug);
  const place = encodeURIComponent(shop.slug);
  const newest = await editionOf(em, shop);
  const link = newest
    ? { href: `/shop/${place}/`, link: "What shoppers see" }
    : { href: `/shops/${place}/editions`, link: "Publish it" };
  switch (of) {
    case "draft":
      return {
        source: draftOf(em, shop),
        base: `/draft/${place}`,
        mark: { words: newest ? "Draft" : "Draft, not published", ...link },
      };
    case "edition": {
      const n = Number(number);
      const source = Number.isSafeInteger(n) ? await editionOf(em, shop, n) : undefined;
      if (!source)
        throw new HttpError(
          404,
          `${shop.name} has no edition “${number.slice(0, 20)}”. Choose one of those under Editions.`,
        );
      const mark = n === newest?.state ? undefined : { words: `Edition ${n}`, ...link };
      return { source, base: `/edition/${place}/${n}`, mark };
    }
    case "shoppers":
      if (!newest)
        throw new HttpError(
          404,
          `${shop.name} isn’t published yet, so shoppers see nothing here. Publish it under Editions.`,
        );
      return { source: newest, base: `/shop/${place}`, mark: undefined };
  }
}

/** The source of a preview's page. Nothing on it leads into the tool. @throws HttpError */
async function previewAt(em: SqlEntityManager, key: string): Promise<PageSource> {
  const { shop, createdAt } = await openPreview(em, key);
  const source = await sourceOfPreview(em, shop, key);
  return {
    source,
    base: `/preview/${key}`,
    mark: { words: `Preview of ${dateTimeFormat.format(createdAt)}` },
    preview: key,
  };
}
