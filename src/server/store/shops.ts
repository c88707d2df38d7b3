import type { SqlEntityManager } from "@mikro-orm/libsql";
import type { ShopSummary } from "../../core/api/shop.ts";
import { encodeCatalogue } from "../../core/catalogue/binary.ts";
import { type Catalogue, productCount, variantCount } from "../../core/catalogue/catalogue.ts";
import { type Field, fieldKey, isDerived } from "../../core/catalogue/field.ts";
import { fieldSchema } from "../../core/catalogue/field-schema.ts";
import type { RememberedReading } from "../../core/catalogue/reading-schema.ts";
import { checkValue, listOf } from "../../core/document/schema.ts";
import { lookKind } from "../../core/look/kind.ts";
import type { LookDocument } from "../../core/look/look-schema.ts";
import { pagesKind } from "../../core/page/kind.ts";
import type { PagesDocument } from "../../core/page/pages-schema.ts";
import { panelKind } from "../../core/panel/kind.ts";
import type { PanelDocument } from "../../core/panel/panel-schema.ts";
import { limits } from "../../core/sanitize/limits.ts";
import { shopKind } from "../../core/shop/kind.ts";
import type { ShopDocument } from "../../core/shop/shop-schema.ts";
import { joinParts, partsOf } from "./catalogue-parts.ts";
import { insertDocument, listDocuments, type ShopRef } from "./documents.ts";
import { type CataloguePart, CataloguePartSchema } from "./tables/catalogue.ts";
import { type Shop, ShopSchema } from "./tables/shop.ts";
import { write, yieldToEventLoop } from "./write.ts";

/** A catalogue to store: compressed, with the columns of the shop's row, and how its file was read. */
export interface Import {
  bytes: Uint8Array;
  fields: Field[];
  products: number;
  variants: number;
  reading?: readonly RememberedReading[];
  /** The file's name, and its SHA-256 in hex. */
  fileName?: string;
  hash?: string;
}

/** A catalogue in stored form. @param bytes its binary form, if already available */
export const importOf = (catalogue: Catalogue, bytes: Uint8Array = encodeCatalogue(catalogue)): Import => ({
  bytes,
  fields: catalogue.fields.filter((field) => !isDerived(field)),
  products: productCount(catalogue),
  variants: variantCount(catalogue),
});

export interface NewShop extends Import {
  name: string;
  currency: string;
  panels: readonly PanelDocument[];
  pages?: PagesDocument;
  looks?: readonly LookDocument[];
  settings?: ShopDocument;
}

/** Stores a shop with its catalogue and first documents, completely or not at all. */
export function createShop(
  em: SqlEntityManager,
  { name, currency, panels, pages, looks = [], settings, ...brought }: NewShop,
): Promise<Shop> {
  return write(em, async (tx) => {
    const shop = await insertShop(tx, { name, currency, ...brought });
    for (const panel of panels) await insertDocument(tx, shop, panelKind, panel);
    for (const look of looks) await insertDocument(tx, shop, lookKind, look);
    if (settings) await insertDocument(tx, shop, shopKind, settings);
    if (pages) await insertDocument(tx, shop, pagesKind, pages);
    return shop;
  });
}

/** Inserts a shop's row and its catalogue within an open transaction, with an unused slug. */
export async function insertShop(
  tx: SqlEntityManager,
  { name, currency, ...brought }: Pick<NewShop, "name" | "currency"> & Readonly<Import>,
): Promise<Shop> {
  const others = new Set(
    (await tx.findAll(ShopSchema, { fields: ["slug"], filters: { there: false } })).map(({ slug }) => slug),
  );
  const shop = tx.create<Shop>(ShopSchema, {
    slug: fieldKey(name, others, "untitled"),
    name,
    currency,
    ...catalogueOf(brought),
    createdAt: new Date(),
    visitDays: 0,
  });
  tx.persist(shop);
  await tx.flush();
  await insertParts(tx, shop, brought);
  return shop;
}

const storedFields = listOf(fieldSchema, limits.columns.max);

/** @throws InvalidDocument if a shop can't be opened with these fields */
const checkFields = (fields: readonly Field[]) => checkValue("catalogue", storedFields, fields);

/** The columns of a shop’s row that describe its catalogue. @throws InvalidDocument */
export const catalogueOf = ({ fields, products, variants, reading = [], hash }: Import) => ({
  fields: checkFields(fields),
  productCount: products,
  variantCount: variants,
  reading: [...reading],
  hash: hash ?? null,
});

/** Stores a catalogue's bytes within an open transaction. */
export async function insertParts(
  tx: SqlEntityManager,
  shop: ShopRef,
  { bytes }: Pick<Import, "bytes">,
): Promise<void> {
  for (const [position, part] of partsOf(bytes).entries()) {
    await tx.insert<CataloguePart>(CataloguePartSchema, { shop: shop.id, position, bytes: Buffer.from(part) });
    await yieldToEventLoop();
  }
}

/** A shop's imported catalogue in binary form, without corrections. */
export async function loadBytes(em: SqlEntityManager, shop: ShopRef): Promise<Uint8Array> {
  const parts = await em
    .fork()
    .find(CataloguePartSchema, { shop: shop.id }, { fields: ["bytes"], orderBy: { position: "asc" } });
  // The driver returns bytes as a plain buffer.
  return joinParts(parts.map(({ bytes }) => new Uint8Array(bytes)));
}

/** All shops, oldest first. */
export const listShops = (em: SqlEntityManager): Promise<Shop[]> =>
  em.fork().findAll(ShopSchema, { orderBy: { createdAt: "asc", id: "asc" } });

/** A shop with its complete row. */
export const findShop = (em: SqlEntityManager, slug: string): Promise<Shop | null> =>
  em.fork().findOne(ShopSchema, { slug });

/** A shop without its fields and reading, as needed by the responses to shoppers. */
export const findShopRef = (
  em: SqlEntityManager,
  slug: string,
): Promise<Pick<Shop, "id" | "slug" | "name" | "currency" | "variantCount"> | null> =>
  em.fork().findOne(ShopSchema, { slug }, { fields: ["id", "slug", "name", "currency", "variantCount"] });

/** A shop for the tool's views. */
export async function shopSummaryOf(em: SqlEntityManager, shop: Shop): Promise<ShopSummary> {
  const { slug, name, currency, productCount: products, variantCount: variants, reading, fields, hash } = shop;
  return {
    slug,
    name,
    currency,
    products,
    variants,
    reading,
    fields,
    ...(hash ? { hash } : {}),
    panels: await listDocuments(em, shop, panelKind),
    looks: await listDocuments(em, shop, lookKind),
  };
}
