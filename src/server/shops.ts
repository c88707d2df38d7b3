import { ref, type SqlEntityManager, UniqueConstraintViolationException } from "@mikro-orm/libsql";
import { encodeCatalogue } from "../core/catalogue/binary.ts";
import { type Catalogue, productCount, variantCount } from "../core/catalogue/catalogue.ts";
import { fieldKey, isDerived } from "../core/catalogue/field.ts";
import { firstPanel } from "../core/evidence/suggest.ts";
import { CatalogueIndex } from "../core/index/catalogue-index.ts";
import { type MendDocument, noMends } from "../core/mend/document.ts";
import type { PanelDocument } from "../core/panel/document.ts";
import { emptyBook, type SwatchDocument } from "../core/swatch/document.ts";
import { joinParts, partsOf } from "./catalogue-parts.ts";
import { type CataloguePart, CataloguePartSchema, type Panel, PanelSchema, type RememberedReading, type Shop, ShopSchema } from "./entities.ts";

/** A catalogue to be stored, and how its file was read. */
export interface Import {
  catalogue: Catalogue;
  /** The catalogue in binary form, where it came so. */
  bytes?: Uint8Array;
  reading?: RememberedReading[];
}

export interface NewShop extends Import {
  name: string;
  currency: string;
  /** The first panel; one is made from the catalogue when there is none. */
  panel?: PanelDocument;
}

/** Stores a shop with its catalogue and a first panel, whole or not at all. */
export async function createShop(em: SqlEntityManager, { name, currency, panel, ...brought }: NewShop): Promise<Shop> {
  const document = panel ?? firstPanel(new CatalogueIndex(brought.catalogue), "First panel");
  return em.transactional(async (tx) => {
    const others = new Set((await tx.findAll(ShopSchema, { fields: ["slug"] })).map(({ slug }) => slug));
    const shop = tx.create<Shop>(ShopSchema, {
      slug: fieldKey(name, others),
      name,
      currency,
      ...catalogueOf(brought),
      mends: noMends,
      mendVersion: 1,
      book: emptyBook,
      bookVersion: 1,
      createdAt: new Date(),
    });
    await tx.flush();
    await insertParts(tx, shop, brought);
    addPanel(tx, shop, document, new Set(), 0);
    await tx.flush();
    return shop;
  });
}

/** Puts another catalogue in the place of a shop's present one, whole or not at all. Panels and mends stay as they are. */
export async function replaceCatalogue(em: SqlEntityManager, shop: Shop, brought: Import): Promise<void> {
  await em.transactional(async (tx) => {
    await tx.nativeDelete<CataloguePart>(CataloguePartSchema, { shop: shop.id });
    await insertParts(tx, shop, brought);
    await tx.nativeUpdate<Shop>(ShopSchema, { id: shop.id }, catalogueOf(brought));
  });
}

/** What a shop's own row says of its catalogue. */
const catalogueOf = ({ catalogue, reading = [] }: Import) => ({
  fields: catalogue.fields.filter((field) => !isDerived(field)),
  productCount: productCount(catalogue),
  variantCount: variantCount(catalogue),
  reading,
});

async function insertParts(tx: SqlEntityManager, shop: Shop, { catalogue, bytes = encodeCatalogue(catalogue) }: Import): Promise<void> {
  for (const [position, part] of partsOf(bytes).entries())
    await tx.insert<CataloguePart>(CataloguePartSchema, { shop: shop.id, position, bytes: Buffer.from(part) });
}

/** A shop's imported catalogue in binary form, without mends. */
export async function loadBytes(em: SqlEntityManager, shop: Shop): Promise<Uint8Array> {
  const parts = await em.fork().find<CataloguePart>(CataloguePartSchema, { shop: shop.id }, { orderBy: { position: "asc" } });
  // The driver gives bytes back as a bare buffer.
  return joinParts(parts.map(({ bytes }) => new Uint8Array(bytes)));
}

export const listShops = (em: SqlEntityManager) => em.findAll(ShopSchema, { populate: ["panels"], orderBy: { createdAt: "asc", id: "asc" } });

export const findShop = (em: SqlEntityManager, slug: string) => em.findOne(ShopSchema, { slug }, { populate: ["panels"] });

export const findPanel = (em: SqlEntityManager, shop: Shop, slug: string): Promise<Panel | null> =>
  em.findOne<Panel>(PanelSchema, { shop: shop.id, slug });

/** Adds a panel to a shop, with a place in addresses that no other has. */
export async function createPanel(em: SqlEntityManager, shop: Shop, document: PanelDocument): Promise<Panel> {
  for (let attempt = 0; ; attempt++) {
    // Each try starts from a clean slate; what failed to be written must not be written again.
    const fresh = em.fork();
    const others = await fresh.find<Panel>(PanelSchema, { shop: shop.id });
    const panel = addPanel(fresh, fresh.getReference<Shop>(ShopSchema, shop.id), document, new Set(others.map(({ slug }) => slug)), others.length);
    try {
      await fresh.flush();
      return panel;
    } catch (error) {
      // Another request took the place between the look and the write.
      if (!(error instanceof UniqueConstraintViolationException) || attempt === 9) throw error;
    }
  }
}

/**
 * Saves a panel if nobody has saved it since `version`.
 * @returns the new version, or undefined when the stored one is another
 */
export async function savePanel(em: SqlEntityManager, panel: Panel, version: number, document: PanelDocument): Promise<number | undefined> {
  const changed = await em.nativeUpdate<Panel>(PanelSchema, { id: panel.id, version }, { version: version + 1, document, updatedAt: new Date() });
  return changed === 1 ? version + 1 : undefined;
}

/**
 * Saves a shop's mends if nobody has saved them since `version`.
 * @returns the new version, or undefined when the stored one is another
 */
export async function saveMends(em: SqlEntityManager, shop: Shop, version: number, mends: MendDocument): Promise<number | undefined> {
  const changed = await em.nativeUpdate<Shop>(ShopSchema, { id: shop.id, mendVersion: version }, { mendVersion: version + 1, mends });
  return changed === 1 ? version + 1 : undefined;
}

/**
 * Saves a shop's swatch book if nobody has saved it since `version`.
 * @returns the new version, or undefined when the stored one is another
 */
export async function saveBook(em: SqlEntityManager, shop: Shop, version: number, book: SwatchDocument): Promise<number | undefined> {
  const changed = await em.nativeUpdate<Shop>(ShopSchema, { id: shop.id, bookVersion: version }, { bookVersion: version + 1, book });
  return changed === 1 ? version + 1 : undefined;
}

function addPanel(em: SqlEntityManager, shop: Shop, document: PanelDocument, taken: Set<string>, position: number): Panel {
  const panel = em.create<Panel>(PanelSchema, {
    shop: ref(shop),
    slug: fieldKey(document.name, taken),
    position,
    version: 1,
    document,
    updatedAt: new Date(),
  });
  em.persist(panel);
  return panel;
}
