import { ref, type SqlEntityManager, UniqueConstraintViolationException } from "@mikro-orm/libsql";
import { assembleCatalogue } from "../core/catalogue/assemble.ts";
import { variantCount } from "../core/catalogue/catalogue.ts";
import { fieldKey, isDerived } from "../core/catalogue/field.ts";
import type { ReadResult } from "../core/catalogue/read.ts";
import { firstPanel } from "../core/evidence/suggest.ts";
import { CatalogueIndex } from "../core/index/catalogue-index.ts";
import type { PanelDocument } from "../core/panel/document.ts";
import { type Panel, PanelSchema, type Product, ProductSchema, type Shop, ShopSchema } from "./entities.ts";

const batch = 500;

export interface NewShop {
  name: string;
  currency: string;
  read: ReadResult;
  /** The first panel; one is made from the catalogue when there is none. */
  panel?: PanelDocument;
}

/** Stores a shop with its products and a first panel, whole or not at all. */
export async function createShop(em: SqlEntityManager, { name, currency, read, panel }: NewShop): Promise<Shop> {
  const { catalogue, products } = read;
  const document = panel ?? firstPanel(new CatalogueIndex(catalogue), "First panel");
  return em.transactional(async (tx) => {
    const others = new Set((await tx.findAll(ShopSchema, { fields: ["slug"] })).map(({ slug }) => slug));
    const shop = tx.create<Shop>(ShopSchema, {
      slug: fieldKey(name, others),
      name,
      currency,
      ...catalogueOf(read),
      createdAt: new Date(),
    });
    await tx.flush();
    await insertProducts(tx, shop, products);
    addPanel(tx, shop, document, new Set(), 0);
    await tx.flush();
    return shop;
  });
}

/** Puts another catalogue in the place of a shop's present one, whole or not at all. Panels stay as they are. */
export async function replaceCatalogue(em: SqlEntityManager, shop: Shop, read: ReadResult): Promise<void> {
  await em.transactional(async (tx) => {
    await tx.nativeDelete<Product>(ProductSchema, { shop: shop.id });
    await insertProducts(tx, shop, read.products);
    await tx.nativeUpdate<Shop>(ShopSchema, { id: shop.id }, catalogueOf(read));
  });
}

/** What a shop's own row says of its catalogue. Computed fields are worked out again on loading; stored are the columns of the cells. */
const catalogueOf = ({ catalogue, products }: ReadResult) => ({
  fields: catalogue.fields.filter((field) => !isDerived(field)),
  productCount: products.length,
  variantCount: variantCount(catalogue),
});

async function insertProducts(tx: SqlEntityManager, shop: Shop, products: ReadResult["products"]): Promise<void> {
  for (let from = 0; from < products.length; from += batch) {
    await tx.insertMany<Product>(
      ProductSchema,
      products.slice(from, from + batch).map(({ id, rows }, i) => ({ shop: shop.id, position: from + i, ref: id, rows })),
    );
  }
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

/** A shop's catalogue, read from the database and coded. */
export async function loadCatalogue(em: SqlEntityManager, shop: Shop) {
  const products = await em.fork().find<Product>(ProductSchema, { shop: shop.id }, { orderBy: { position: "asc" } });
  return assembleCatalogue(
    shop.fields,
    products.map(({ ref: id, rows }) => ({ id, rows })),
  );
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
