import { isDeepStrictEqual } from "node:util";
import type { SqlEntityManager } from "@mikro-orm/libsql";
import { Hono } from "hono";
import { LRUCache } from "lru-cache";
import { newDocument, ordering, saving } from "../../core/api/shop.ts";
import type { DocumentKind } from "../../core/document/kind.ts";
import { limits } from "../../core/sanitize/limits.ts";
import { isKind, type KindName, kinds } from "../../core/shop/kinds.ts";
import { HttpError, noDocument } from "../http-error.ts";
import type { Catalogues } from "../store/catalogues.ts";
import {
  createDocument,
  listDocuments,
  loadDocument,
  readDocument,
  type ShopRef,
  saveDocument,
  versionOf,
} from "../store/documents.ts";
import { orderDocuments, removeDocument, removedDocuments, restoreDocument, retentionDays } from "../store/removal.ts";
import { serialized } from "../store/write.ts";
import type { Costs } from "./cost.ts";
import { bodyOf, jsonOf, limit, parsedBody, shopRefOf, textOf } from "./request.ts";

/** A shop's documents of every kind: opened with their history, and saved over a known version. */
export function documentRoutes(fork: () => SqlEntityManager, catalogues: Catalogues, { light }: Costs): Hono {
  const app = new Hono();
  const address = "/shops/:shop/documents/:kind/:slug?";

  app.get(address, light, async (c) => {
    const em = fork();
    const shop = await shopRefOf(em, c.req.param("shop"));
    const kind = kindOf(c.req.param("kind"));
    const slug = c.req.param("slug");
    if (kind.many && slug === undefined) return c.json(await listDocuments(em, shop, kind));
    const opened = await loadDocument(em, shop, kind, slug);
    if (!opened) throw noDocument(kind.what, slug);
    return c.json(opened);
  });

  // Not below the documents' path: a document can have any name.
  app.put("/shops/:shop/document-order/:kind", limit(limits.document), async (c) => {
    const em = fork();
    const shop = await shopRefOf(em, c.req.param("shop"));
    const kind = manyOf(c.req.param("kind"));
    await orderDocuments(em, shop, kind, parsedBody(ordering, await bodyOf(c.req.raw)).slugs);
    return c.json(await listDocuments(em, shop, kind));
  });

  app.put(address, limit(limits.document), async (c) => {
    const em = fork();
    const shop = await shopRefOf(em, c.req.param("shop"));
    const kind = kindOf(c.req.param("kind"));
    const slug = c.req.param("slug");
    if (kind.many && (await versionOf(em, shop, kind, slug)) === 0) throw noDocument(kind.what, slug);
    const text = await textOf(c.req.raw);
    const { document, ...sent } = await serialized(() => parsedBody(saving, jsonOf(text)));
    return c.json({ version: await save(em, shop, kind, slug, { ...sent, document }) });
  });

  app.post("/shops/:shop/documents/:kind", limit(limits.document), async (c) => {
    const em = fork();
    const shop = await shopRefOf(em, c.req.param("shop"));
    const kind = kindOf(c.req.param("kind"));
    if (!kind.many) throw new HttpError(405, `A shop already has its one ${kind.what}. Save that one instead.`);
    const { name, document } = parsedBody(newDocument, await bodyOf(c.req.raw));
    return c.json(await createDocument(em, shop, kind, document ?? kind.fresh(name ?? "")), 201);
  });

  app.delete("/shops/:shop/documents/:kind/:slug", async (c) => {
    const em = fork();
    const shop = await shopRefOf(em, c.req.param("shop"));
    await removeDocument(em, shop, manyOf(c.req.param("kind")), c.req.param("slug"));
    return c.json({ retentionDays });
  });

  app.post("/shops/:shop/documents/:kind/:slug/restore", async (c) => {
    const em = fork();
    const shop = await shopRefOf(em, c.req.param("shop"));
    const kind = manyOf(c.req.param("kind"));
    await restoreDocument(em, shop, kind, c.req.param("slug"));
    return c.json(await listDocuments(em, shop, kind));
  });

  app.get("/shops/:shop/removed/:kind", light, async (c) => {
    const em = fork();
    return c.json(await removedDocuments(em, await shopRefOf(em, c.req.param("shop")), manyOf(c.req.param("kind"))));
  });

  /** By shop and kind, the part of a document that the cached catalogue was computed from. */
  const parts = new LRUCache<string, string>({ max: 1000 });

  /** Whether a saved document differs in the part that the catalogue depends on. */
  function isAnother(shop: ShopRef, kind: DocumentKind<object>, document: unknown): boolean {
    if (!kind.touching) return true;
    const [name, part] = [`${shop.id} ${kind.name}`, JSON.stringify(kind.touching(document as object))];
    if (parts.get(name) === part) return false;
    parts.set(name, part);
    return true;
  }

  async function save(
    em: SqlEntityManager,
    shop: ShopRef,
    kind: DocumentKind<object>,
    slug: string | undefined,
    sent: Parameters<typeof saveDocument>[4],
  ) {
    const saved = await saveDocument(em, shop, kind, slug, sent);
    if (saved === undefined) {
      const now = await readDocument(em, shop, kind, slug);
      // The response to this save was lost on its way, so it is sent again.
      if (now?.version === sent.version + 1 && isDeepStrictEqual(now.document, sent.document)) return now.version;
      throw new HttpError(
        409,
        `The ${kind.what} was changed elsewhere since it was opened here. Use the other version, or replace it with yours.`,
        {
          ...now,
        },
      );
    }
    if (kind.touches.includes("catalogue") && isAnother(shop, kind, sent.document)) catalogues.forget(shop);
    return saved;
  }
  return app;
}

/** A kind of which a shop has many. @throws HttpError for other kinds */
function manyOf(name: string): DocumentKind<object> {
  const kind = kindOf(name);
  if (!kind.many)
    throw new HttpError(405, `A shop always has one ${kind.what}, so it can’t be moved, removed or restored.`);
  return kind;
}

/** Any kind, typed for code that is the same for all. */
function kindOf(name: string): DocumentKind<object> {
  if (!isKind(name))
    throw new HttpError(
      404,
      `There are no documents of the kind “${name}”. Kinds are ${(Object.keys(kinds) as KindName[]).join(", ")}.`,
    );
  return anyKind[name];
}

const anyKind: Record<KindName, DocumentKind<object>> = kinds;
