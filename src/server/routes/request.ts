import type { SqlEntityManager } from "@mikro-orm/libsql";
import type { Context } from "hono";
import { bodyLimit } from "hono/body-limit";
import { type InferType, type ISchema, ValidationError } from "yup";
import { isTooDeep } from "../../core/document/json-depth.ts";
import { limits, limitText, quotable } from "../../core/sanitize/limits.ts";
import { editionNumber } from "../../core/shop/archive/edition-manifest.ts";
import type { ShopState } from "../cache-key.ts";
import { HttpError, noShop } from "../http-error.ts";
import { draftOf } from "../store/draft-source.ts";
import { editionOf } from "../store/editions.ts";
import { sourceOfPreview } from "../store/previews.ts";
import { findShop, findShopRef } from "../store/shops.ts";
import type { ShopSource } from "../store/source.ts";
import type { Shop } from "../store/tables/shop.ts";

/** Rejects bodies above a limit, with room for a form's overhead. */
export const limit = (most: (typeof limits)["upload" | "document" | "question" | "picture"]) =>
  bodyLimit({
    maxSize: most.max + 64 * 1024,
    onError: () => {
      throw new HttpError(413, `This is larger than ${limitText(most)}, the limit for one request. Send less.`);
    },
  });

/** The shop with a slug, with its complete row. @throws HttpError */
export async function shopOf(em: SqlEntityManager, slug: string): Promise<Shop> {
  const shop = await findShop(em, slug);
  if (!shop) throw noShop(slug);
  return shop;
}

/** The shop with a slug, with only what most responses need. @throws HttpError */
export async function shopRefOf(em: SqlEntityManager, slug: string) {
  const shop = await findShopRef(em, slug);
  if (!shop) throw noShop(slug);
  return shop;
}

/**
 * The state of a shop that a page's request is about: `?edition=` with a number, `?preview=` with a key, or the draft.
 * @throws HttpError
 */
export function stateAsked({ req }: Context): ShopState {
  const [edition, preview] = [req.query("edition"), req.query("preview")];
  if (preview !== undefined) return { preview };
  if (edition === undefined) return "draft";
  const n = editionNumber(edition);
  if (n === undefined) throw noSuchEdition(edition);
  return n;
}

const noSuchEdition = (edition: string) =>
  new HttpError(404, `This shop has no edition “${edition.slice(0, 20)}”. Choose one of those under Editions.`);

/** The source for a page's requests: the draft, or the snapshot it was drawn from. @throws HttpError */
export async function sourceFor(em: SqlEntityManager, c: Context): Promise<ShopSource> {
  const state = stateAsked(c);
  const shop = await shopRefOf(em, c.req.param("shop") ?? "");
  if (state === "draft") return draftOf(em, shop);
  if (typeof state === "object") return sourceOfPreview(em, shop, state.preview);
  const source = await editionOf(em, shop, state);
  if (!source) throw noSuchEdition(String(state));
  return source;
}

/** A NUL would end a text in the database and lose the rest. */
const noNul = () =>
  new HttpError(
    400,
    "The request contains a NUL character (U+0000), which can’t be saved. Remove it and send the request again.",
  );

/** The text of a request's JSON. @throws HttpError */
export async function textOf(request: Request): Promise<string> {
  if (!request.headers.get("content-type")?.startsWith("application/json"))
    throw new HttpError(415, "Send JSON, with the content type application/json.");
  return request.text();
}

/** A request's JSON. @throws HttpError */
export const bodyOf = async (request: Request): Promise<unknown> => jsonOf(await textOf(request));

/** The JSON of a text. @throws HttpError */
export function jsonOf(sent: string): unknown {
  // Escaped, after any number of escaped backslashes.
  if (/(?<!\\)(?:\\\\)*\\u0000/.test(sent)) throw noNul();
  if (isTooDeep(sent))
    throw new HttpError(400, `The request nests brackets more than ${limits.jsonDepth.max} levels deep.`);
  try {
    return JSON.parse(sent);
  } catch {
    throw new HttpError(400, "The request is not valid JSON. Check its syntax.");
  }
}

/** The body of a form request. */
export interface Sent {
  body: Uint8Array<ArrayBuffer>;
  /** Its content type, with the boundary. */
  type: string;
}

/** A request's form, not parsed yet. */
export const sentOf = async (request: Request): Promise<Sent> => ({
  body: new Uint8Array(await request.arrayBuffer()),
  type: request.headers.get("content-type") ?? "",
});

/** A request's form: the last value of each name. @throws HttpError */
export async function formOf(request: Request): Promise<Record<string, FormDataEntryValue>> {
  try {
    const form = Object.fromEntries(await request.formData());
    if (Object.values(form).some((value) => String(value instanceof File ? value.name : value).includes("\0")))
      throw noNul();
    return form;
  } catch (error) {
    if (error instanceof HttpError) throw error;
    throw new HttpError(
      400,
      "The form can’t be read. Send it as multipart/form-data, with the boundary in its content type.",
    );
  }
}

/** A value checked against a schema. @throws HttpError with the path of the fault */
export function parsedBody<S extends ISchema<unknown> & { validateSync(value: unknown): unknown }>(
  schema: S,
  value: unknown,
): InferType<S> {
  try {
    return schema.validateSync(value);
  } catch (error) {
    if (error instanceof ValidationError)
      throw new HttpError(400, quotable(asSentence(error.message)), { path: quotable(error.path ?? "") });
    throw error;
  }
}

/** A schema's own sentence unchanged; the library's phrases, like “choices must be an object”, as a sentence. */
const asSentence = (message: string): string =>
  /^[^a-z].*\.$/s.test(message) ? message : `The request isn’t valid: ${message}.`;

/** A file to download under a name. */
export const attachment = (body: string | Uint8Array, type: string, name: string): Response =>
  new Response(typeof body === "string" ? body : new Uint8Array(body), {
    headers: {
      "content-type": type,
      "content-disposition": `attachment; filename*=UTF-8''${encodeURIComponent(name)}`,
    },
  });

/** A state of a shop from an address. @throws HttpError */
export function stateIn(text: string | undefined): number | "draft" {
  if (text === "draft") return text;
  const n = editionNumber(text ?? "");
  if (n !== undefined) return n;
  throw new HttpError(
    400,
    `This shop has no version “${(text ?? "").slice(0, 20)}”. Use “draft” or an edition number.`,
  );
}
