import { createHash } from "node:crypto";
import type { SqlEntityManager } from "@mikro-orm/libsql";
import { isFacetable } from "../../core/catalogue/field.ts";
import { kindFacts } from "../../core/catalogue/field-kinds.ts";
import type { CatalogueIndex } from "../../core/engine/index/catalogue-index.ts";
import { cleanSvg } from "../../core/sanitize/clean-svg.ts";
import type { SwatchLine } from "../../core/swatch/formats.ts";
import { swatchesKind } from "../../core/swatch/kind.ts";
import { linesOfBook } from "../../core/swatch/list.ts";
import { guessByName, type NameGuess } from "../../core/swatch/name-guess.ts";
import { resolveBook, type SwatchBook } from "../../core/swatch/view.ts";
import { HttpError } from "../http-error.ts";
import { type Picture, PictureSchema, type Shop } from "./entities.ts";
import type { ShopSource } from "./source.ts";
import { write } from "./write.ts";

/** Maximum number of values of a field with colours or brands. */
const maxValues = 2000;

/** Resolves a shop's swatch book against its catalogue, and caches guesses from names. */
export class SwatchResolver {
  #fields: { key: string; options: readonly { id: string; label: string }[] }[];
  #guesses = new Map<string, NameGuess | undefined>();
  #last: { version: number; ground: string; resolved: SwatchBook } | undefined;

  constructor(index: CatalogueIndex) {
    this.#fields = index.catalogue.fields
      .filter((field) => isFacetable(field) && kindFacts(field).words === true && !kindFacts(field).nested)
      .map(({ key }) => ({ key, options: index.options(key).options }))
      .filter(({ options }) => options.length <= maxValues);
  }

  /**
   * The swatch of each value. Recomputed when the book has a new version.
   * @param ground the panels' background, which decides where outlines are needed
   */
  async resolve(source: ShopSource, ground: string): Promise<SwatchBook> {
    const version = await source.version(swatchesKind);
    if (this.#last?.version !== version || this.#last.ground !== ground) {
      const { document } = (await source.read(swatchesKind)) ?? { document: swatchesKind.fresh("") };
      const resolved = resolveBook(document, this.#fields, (label) => this.#guess(label), ground);
      this.#last = { version, ground, resolved };
    }
    return this.#last.resolved;
  }

  /** Every swatch, given or guessed, as a list that can be imported again. */
  async lines(source: ShopSource): Promise<SwatchLine[]> {
    const book = (await source.read(swatchesKind))?.document ?? swatchesKind.fresh("");
    return linesOfBook(book, this.#fields, (label) => this.#guess(label));
  }

  #guess(label: string): NameGuess | undefined {
    if (!this.#guesses.has(label)) this.#guesses.set(label, guessByName(label));
    return this.#guesses.get(label);
  }
}

const types = { svg: "image/svg+xml", png: "image/png", jpg: "image/jpeg", webp: "image/webp" } as const;

/** A stored picture: sanitized, and named by its content. */
export interface KeptPicture {
  name: string;
  type: string;
  bytes: Uint8Array;
}

/** Stores a picture and returns its address. */
export async function keepPicture(
  em: SqlEntityManager,
  shop: Pick<Shop, "id" | "slug">,
  { name, type, bytes: content }: KeptPicture,
): Promise<string> {
  await write(em, async (tx) => {
    const known = await tx.count<Picture>(PictureSchema, { shop: shop.id, name });
    if (known === 0)
      await tx.insert<Picture>(PictureSchema, { shop: shop.id, name, type, bytes: Buffer.from(content) });
  });
  return `/pictures/${shop.slug}/${name}`;
}

/**
 * Converts an upload to a stored picture. Slow: not for the main thread.
 * @throws Fault if the upload is not a supported picture
 */
export function pictureOf(bytes: Uint8Array): KeptPicture {
  const { end, content } = checkPicture(bytes);
  return { name: `${createHash("sha256").update(content).digest("hex")}.${end}`, type: types[end], bytes: content };
}

/** Detects a picture's type from its first bytes, whatever its name; an SVG is sanitized. */
function checkPicture(bytes: Uint8Array): { end: keyof typeof types; content: Uint8Array } {
  const starts = (...head: number[]) => head.every((byte, i) => bytes[i] === byte);
  const text = (from: number, to: number) => String.fromCharCode(...bytes.subarray(from, to));
  if (starts(0x89, 0x50, 0x4e, 0x47)) return { end: "png", content: bytes };
  if (starts(0xff, 0xd8, 0xff)) return { end: "jpg", content: bytes };
  if (text(0, 4) === "RIFF" && text(8, 12) === "WEBP") return { end: "webp", content: bytes };
  const whole = new TextDecoder().decode(bytes);
  if (!/^\ufeff?\s*(?:<\?xml|<!--|<!DOCTYPE svg|<svg)/i.test(whole))
    throw new HttpError(
      422,
      "This is not a PNG, JPEG, WebP or SVG. Save the picture as one of them and upload it again.",
    );
  const svg = cleanSvg(whole);
  if (svg === undefined)
    throw new HttpError(
      422,
      "This SVG can’t be kept: it is damaged, or draws more than 20,000 elements. Simplify it and upload it again.",
    );
  return { end: "svg", content: new TextEncoder().encode(svg) };
}

/** A picture by its shop's slug and its own name. */
export const findPicture = (em: SqlEntityManager, shop: string, name: string): Promise<Picture | null> =>
  em.fork().findOne<Picture>(PictureSchema, { shop: { slug: shop }, name });
