import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { Random } from "../../demo/random.ts";
import { decodeCatalogue } from "../../src/core/catalogue/binary.ts";
import { CatalogueIndex } from "../../src/core/engine/index/catalogue-index.ts";
import { LocalEngine } from "../../src/core/engine/local-engine.ts";
import { startPlace } from "../../src/core/page/browse-state/browse-state.ts";
import { createApp } from "../../src/server/app.ts";
import { questionOf } from "../../src/storefront/page/page-state.ts";
import type { Boot } from "../../src/storefront/shop/boot.ts";
import { demoDatabase } from "../demo-database.ts";

let app: ReturnType<typeof createApp>;
let close: () => Promise<void>;
const get = (path: string) => app.request(`http://127.0.0.1${path}`, { headers: { host: "127.0.0.1" } });
const engineAt = async (path: string) => {
  const bytes = new Uint8Array(await (await get(path)).arrayBuffer());
  return { size: bytes.length, engine: new LocalEngine(new CatalogueIndex(decodeCatalogue(bytes))) };
};

beforeAll(async () => {
  const demo = await demoDatabase();
  app = createApp({ orm: demo.orm, root: process.cwd() });
  close = demo.close;
});
afterAll(() => close());

describe("the catalogue that a page is sent", () => {
  it.each([
    "/",
    "/?panel=climber-finder",
    "/categories/plants",
    "/collections/on-sale",
    "/collections/gifts",
    "/search?q=rose",
    "/articles/plants-and-pets",
  ])("has all that %s counts and shows, and answers as the whole one", async (address) => {
    const html = await (await get(`/shop/larkmoss-nursery${address}`)).text();
    const boot: Boot = JSON.parse(/id="zt-boot">(.*?)<\/script>/s.exec(html)?.[1] ?? "");
    const own = await engineAt(boot.data);
    const whole = await engineAt("/api/shops/larkmoss-nursery/source");
    expect(own.size).toBeLessThan(whole.size);
    const { page: shown, panels, shop } = boot;
    const fields = new Map(boot.fields.map((field) => [field.key, field]));
    const random = new Random(3);
    for (const band of ["wide", "slim"] as const)
      for (let n = 0; n < 12; n++) {
        const asking = { shown, panels, band, fields, shop };
        const { facets } = questionOf(asking, startPlace);
        const { facets: answered } = whole.engine.ask(questionOf(asking, startPlace));
        const choices = Object.fromEntries(
          facets
            .filter(({ mode }) => mode !== "range" && random.next() < 0.3)
            .flatMap(({ field }) => {
              const options = answered[field]?.options ?? [];
              const option = options[random.whole(0, Math.max(0, options.length - 1))];
              return option ? [[field, { options: [option.id] }]] : [];
            }),
        );
        const selection = { choices, text: n % 4 === 3 ? "climb" : "" };
        const question = questionOf(asking, { ...startPlace, selection });
        expect(own.engine.ask(question)).toEqual(whole.engine.ask(question));
      }
  });

  it("is whole on the designer's stage, where any field may become a facet, and what is no field is passed over", async () => {
    const html = await (await get("/draft/larkmoss-nursery/?stage")).text();
    const boot: Boot = JSON.parse(/id="zt-boot">(.*?)<\/script>/s.exec(html)?.[1] ?? "");
    expect(boot.data).not.toContain("only");
    expect((await get("/api/shops/larkmoss-nursery/data?edition=1&only=light,__proto__,none")).status).toBe(200);
  });
});
