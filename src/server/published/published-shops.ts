import type { EditionManifest } from "../../core/shop/archive/edition-manifest.ts";
import { HttpError, noShop } from "../http-error.ts";
import type { ShopSource } from "../store/source.ts";
import { wholeSource, withShopPictures } from "../store/whole-source.ts";
import { syncWriteCount, writeCount } from "../store/write.ts";
import { editionsIn, type ReadEdition, readCurrent, readEdition } from "./edition-folder.ts";

/** A folder with editions of one shop. */
interface PublishedShop {
  folder: string;
  slug: string;
  /** Number of the edition that shoppers see. */
  current: number;
  /** By number, the editions that were read. */
  editions: Map<number, { edition: ReadEdition; source: ShopSource }>;
  /** A newer edition that could not be taken over. */
  trouble?: Trouble;
}

interface Trouble {
  edition: number;
  fault: string;
  /** How many times it is passed by before it is read again, and how many of them are left. */
  waits: number;
  left: number;
}

/** Most times that a damaged edition is passed by: once a minute is enough, at a look every two seconds. */
const maxWaits = 30;

/** Shops from folders of published editions, read into memory. Nothing is ever written. */
export class PublishedShops {
  readonly #shops = new Map<string, PublishedShop>();

  /** Reads the current edition of each folder. @throws EditionFault if one is damaged, or two are of the same shop */
  constructor(folders: readonly string[]) {
    for (const folder of folders) {
      const { shop: slug, edition: n } = readCurrent(folder);
      const same = this.#shops.get(slug);
      if (same)
        throw new RangeError(`${same.folder} and ${folder} both have a shop “${slug}”. Serve them on different ports.`);
      const shop: PublishedShop = { folder, slug, current: n, editions: new Map() };
      this.#read(shop, n);
      this.#shops.set(slug, shop);
    }
  }

  /** Slugs and current editions, in the order of the folders. */
  get state(): { shop: string; edition: number }[] {
    return [...this.#shops.values()].map(({ slug, current }) => ({ shop: slug, edition: current }));
  }

  /**
   * Takes over newer editions: each is read whole before shoppers see it, and the one before stays for pages that are
   * open.
   * @param ready prepares an edition, and rejects if it can’t be served; default: nothing
   * @param options `atOnce`: also read an edition that was damaged a moment ago, which otherwise waits longer each time
   * @returns for each folder that changed its new edition, or why it could not be taken over
   */
  async refresh(
    ready: (source: ShopSource) => Promise<unknown> = async () => {},
    { atOnce = false } = {},
  ): Promise<{ shop: string; edition: number; fault?: string }[]> {
    const found: { shop: string; edition: number; fault?: string }[] = [];
    for (const shop of this.#shops.values()) {
      try {
        const { shop: slug, edition } = readCurrent(shop.folder);
        if (slug !== shop.slug) throw new Error(`${shop.folder} now has a shop “${slug}”. Restart to serve it.`);
        const trouble = shop.trouble?.edition === edition ? shop.trouble : undefined;
        if (edition === shop.current) continue;
        if (trouble && trouble.left > 0 && !atOnce) {
          trouble.left -= 1;
          throw new Error(trouble.fault);
        }
        try {
          await ready(this.#read(shop, edition).source);
        } catch (error) {
          const waits = trouble ? Math.min(2 * trouble.waits, maxWaits) : 1;
          shop.trouble = { edition, fault: (error as Error).message, waits, left: waits };
          throw error;
        }
        delete shop.trouble;
        shop.current = edition;
        found.push({ shop: slug, edition });
      } catch (error) {
        found.push({ shop: shop.slug, edition: shop.current, fault: (error as Error).message });
      }
    }
    // Everything that was found by a shop’s current edition is found anew.
    if (found.some(({ fault }) => fault === undefined)) syncWriteCount(writeCount() + 1);
    return found;
  }

  #read(shop: PublishedShop, n: number): { edition: ReadEdition; source: ShopSource } {
    const known = shop.editions.get(n);
    if (known) return known;
    const edition = readEdition(shop.folder, n);
    const { manifest, whole } = edition;
    const { name, currency, variantCount } = manifest;
    const source = wholeSource({
      key: `edition ${shop.slug} ${n}`,
      state: n,
      shop: { id: 0, slug: shop.slug, name, currency, variantCount },
      open: async () => whole,
      placed: (document) => withShopPictures(document, shop.slug),
    });
    const read = { edition, source };
    shop.editions.set(n, read);
    return read;
  }

  /** The source of an edition; of the current one without a number. @throws HttpError if it isn’t in the folder */
  source(slug: string, n?: number): ShopSource {
    const shop = this.#shops.get(slug);
    if (!shop) throw noShop(slug);
    const number = n ?? shop.current;
    if (!shop.editions.has(number) && !editionsIn(shop.folder).includes(number))
      throw new HttpError(404, `This shop has no edition ${number} here. Reload the page.`);
    return this.#read(shop, number).source;
  }

  /** The list of files of an edition that was read. */
  manifest(slug: string, n: number): EditionManifest {
    const found = this.#shops.get(slug)?.editions.get(n);
    if (!found) throw noShop(slug);
    return found.edition.manifest;
  }

  /** A picture of a shop, of whichever edition that was read. */
  picture(slug: string, name: string): Uint8Array | undefined {
    for (const { edition } of this.#shops.get(slug)?.editions.values() ?? []) {
      const found = edition.whole.pictures.get(name);
      if (found) return found;
    }
    return undefined;
  }
}
