import type { SqlEntityManager } from "@mikro-orm/libsql";
import { bodyLimit } from "hono/body-limit";
import { mixed, number, object, ValidationError } from "yup";
import type { Panel, Shop } from "./entities.ts";
import { Fault, noPanel, noShop } from "./fault.ts";
import { findPanel, findShop } from "./shops.ts";

/** Largest document that can be sent, in bytes. */
export const maxJson = 2 * 1024 * 1024;

/** Refuses bodies that are larger, with room for what a form puts around a file. */
export const limit = (bytes: number) =>
  bodyLimit({
    maxSize: bytes + 64 * 1024,
    onError: () => {
      throw new Fault(
        413,
        `This is more than ${Math.round(bytes / 1024 / 1024)} MB, the most that can be sent. Split the file, or leave columns out.`,
      );
    },
  });

/** A document that someone else saved meanwhile; theirs comes along, so that one of the two can be taken. */
export const changedElsewhere = (what: string, now: { version?: number; document?: unknown }): Fault =>
  new Fault(409, `${what} changed elsewhere since it was opened here. Take the other version, or put yours over it.`, now);

/** A document to be saved over the version that the sender knows. */
export const saving = object({ version: number().strict().integer().min(1).required(), document: mixed().required() })
  .noUnknown()
  .strict();

export async function shopOf(em: SqlEntityManager, slug: string): Promise<Shop> {
  const shop = await findShop(em, slug);
  if (!shop) throw noShop(slug);
  return shop;
}

export async function panelOf(em: SqlEntityManager, shopSlug: string, slug: string): Promise<{ shop: Shop; panel: Panel }> {
  const shop = await shopOf(em, shopSlug);
  const panel = await findPanel(em, shop, slug);
  if (!panel) throw noPanel(slug);
  return { shop, panel };
}

/** The JSON that a request brings. @throws Fault */
export async function bodyOf(request: Request): Promise<unknown> {
  if (!request.headers.get("content-type")?.startsWith("application/json"))
    throw new Fault(415, "Send JSON, with the content type application/json.");
  try {
    return await request.json();
  } catch {
    throw new Fault(400, "The request is not valid JSON.");
  }
}

interface Check<T> {
  validateSync(value: unknown): T;
}

/** The value as a schema has it. @throws Fault with the path of what is wrong */
export function check<T>(schema: Check<T>, value: unknown): T {
  try {
    return schema.validateSync(value);
  } catch (error) {
    if (error instanceof ValidationError) throw new Fault(400, error.message, { path: error.path });
    throw error;
  }
}

export const panelView = ({ slug, version, document }: Panel) => ({ slug, name: document.name, version });

export const shopView = (shop: Shop) => ({
  slug: shop.slug,
  name: shop.name,
  currency: shop.currency,
  products: shop.productCount,
  variants: shop.variantCount,
  reading: shop.reading,
  fields: shop.fields,
  panels: shop.panels.getItems().map(panelView),
});
