import type { SqlEntityManager } from "@mikro-orm/libsql";
import type { Context } from "hono";
import { bodyLimit } from "hono/body-limit";
import { type InferType, type ISchema, ValidationError } from "yup";
import { Fault, noShop } from "../fault.ts";
import { editionOf } from "../store/editions.ts";
import type { Shop } from "../store/entities.ts";
import { findShop, findShopRef } from "../store/shops.ts";
import { draftOf, type ShopSource } from "../store/source.ts";

/** Largest document that can be sent, in bytes. */
export const maxJson = 8 * 1024 * 1024;

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

/** The shop at an address, with all that its row says. @throws Fault */
export async function shopOf(em: SqlEntityManager, slug: string): Promise<Shop> {
  const shop = await findShop(em, slug);
  if (!shop) throw noShop(slug);
  return shop;
}

/** The shop at an address, as far as most answers need it. @throws Fault */
export async function shopRefOf(em: SqlEntityManager, slug: string) {
  const shop = await findShopRef(em, slug);
  if (!shop) throw noShop(slug);
  return shop;
}

/** Where a page's questions are answered from: the draft, or the edition that it was drawn from. @throws Fault */
export async function sourceFor(em: SqlEntityManager, { req }: Context): Promise<ShopSource> {
  const shop = await shopRefOf(em, req.param("shop") ?? "");
  const edition = req.query("edition");
  if (edition === undefined) return draftOf(em, shop);
  const source = /^\d{1,9}$/.test(edition) ? await editionOf(em, shop, Number(edition)) : undefined;
  if (!source) throw new Fault(404, `There is no edition “${edition.slice(0, 20)}” of this shop.`);
  return source;
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

/** The value as a schema has it. @throws Fault with the path of what is wrong */
export function check<S extends ISchema<unknown> & { validateSync(value: unknown): unknown }>(
  schema: S,
  value: unknown,
): InferType<S> {
  try {
    return schema.validateSync(value);
  } catch (error) {
    if (error instanceof ValidationError) throw new Fault(400, error.message, { path: error.path });
    throw error;
  }
}

/** A file that is handed out under a name. */
export const attachment = (body: string, type: string, name: string): Response =>
  new Response(body, {
    headers: {
      "content-type": type,
      "content-disposition": `attachment; filename*=UTF-8''${encodeURIComponent(name)}`,
    },
  });

/** A state of a shop as an address names it. @throws Fault */
export function stateIn(text: string | undefined): number | "draft" {
  if (text === "draft") return text;
  if (text !== undefined && /^[1-9]\d{0,8}$/.test(text)) return Number(text);
  throw new Fault(
    400,
    `“${(text ?? "").slice(0, 20)}” is no state of a shop. Say “draft”, or the number of an edition.`,
  );
}
