import type { SqlEntityManager } from "@mikro-orm/libsql";
import { Hono } from "hono";
import { shopCurrency, shopName } from "../../core/api/shop.ts";
import type { Catalogue } from "../../core/catalogue/catalogue.ts";
import { writeJsonLd } from "../../core/catalogue/json-ld.ts";
import { writeCsv } from "../../core/catalogue/write-csv.ts";
import { edited } from "../../core/document/edit.ts";
import { limits } from "../../core/sanitize/limits.ts";
import { setLanguage } from "../../core/shop/edit.ts";
import { shopKind } from "../../core/shop/kind.ts";
import { newShopLanguage } from "../../core/shop/new-shop-language.ts";
import type { Catalogues } from "../store/catalogues.ts";
import { draftOf } from "../store/draft-source.ts";
import { listImports, replaceCatalogue, revertImport } from "../store/imports.ts";
import { createShop, loadBytes, shopSummaryOf } from "../store/shops.ts";
import type { Readers } from "../uploads.ts";
import { binaryType } from "./answers.ts";
import type { Costs } from "./cost.ts";
import { attachment, limit, parsedBody, sentOf, shopOf, shopRefOf } from "./request.ts";

/** The download formats of a catalogue, with its corrections applied. */
const exports: readonly [file: string, type: string, write: (catalogue: Catalogue, currency: string) => string][] = [
  ["catalogue.csv", "text/csv; charset=utf-8", (catalogue) => writeCsv(catalogue, true)],
  [
    "catalogue.jsonld",
    "application/ld+json",
    (catalogue, currency) => JSON.stringify(writeJsonLd(catalogue, currency), null, 1),
  ],
];

export interface CatalogueOptions {
  /** Gives every request an entity manager of its own. */
  fork: () => SqlEntityManager;
  catalogues: Catalogues;
  readers: Readers;
  costs: Costs;
}

/** Imports and downloads of a shop's catalogue. */
export function catalogueRoutes({ fork, catalogues, readers, costs }: CatalogueOptions): Hono {
  const { light, long } = costs;
  const app = new Hono();
  app.post("/shops", limit(limits.upload), async (c) => {
    const em = fork();
    const { name, currency, language, catalogue, first } = await readers.catalogue(await sentOf(c.req.raw));
    const fresh = shopKind.fresh("");
    const settings = edited(fresh, setLanguage(parsedBody(newShopLanguage, language)));
    const shop = await createShop(em, {
      name: parsedBody(shopName, name),
      currency: parsedBody(shopCurrency, currency),
      panels: first ? [first] : [],
      ...(settings === fresh ? {} : { settings }),
      ...catalogue,
    });
    return c.json(await shopSummaryOf(em, shop), 201);
  });

  // The catalogue for the tool, as imported.
  app.get("/shops/:shop/source", light, async (c) => {
    const em = fork();
    return binary(await loadBytes(em, await shopRefOf(em, c.req.param("shop"))));
  });

  app.post("/shops/:shop/catalogue", limit(limits.upload), async (c) => {
    const em = fork();
    const shop = await shopOf(em, c.req.param("shop"));
    const { catalogue } = await readers.catalogue(await sentOf(c.req.raw), shop.fields);
    await replaceCatalogue(em, shop, catalogue);
    catalogues.forget(shop);
    return c.json(await shopSummaryOf(em, await shopOf(em, shop.slug)));
  });

  app.get("/shops/:shop/imports", light, async (c) => {
    const em = fork();
    return c.json(await listImports(em, await shopRefOf(em, c.req.param("shop"))));
  });

  // Restores the catalogue, corrections and swatches from before an import; panels and pages stay as they are.
  app.post("/shops/:shop/imports/:id/take-back", async (c) => {
    const em = fork();
    const shop = await shopOf(em, c.req.param("shop"));
    await revertImport(em, shop, Number(c.req.param("id")));
    catalogues.forget(shop);
    return c.json(await shopSummaryOf(em, await shopOf(em, shop.slug)));
  });

  for (const [format, type, write] of exports) {
    app.get(`/shops/:shop/${format}`, long, async (c) => {
      const em = fork();
      const shop = await shopRefOf(em, c.req.param("shop") ?? "");
      const { facts } = await catalogues.get(draftOf(em, shop));
      return attachment(write(facts.index.catalogue, shop.currency), type, `${shop.slug}.${format.split(".")[1]}`);
    });
  }
  return app;
}

const binary = (bytes: Uint8Array) =>
  new Response(bytes as Uint8Array<ArrayBuffer>, {
    headers: { "content-type": binaryType, "cache-control": "no-cache" },
  });
