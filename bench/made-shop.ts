import { Random } from "../demo/random.ts";
import { emptyPanel, newFacet } from "../src/core/panel/panel.ts";

/** A shop on a server and the panel in it, by what addresses call them. */
export interface MadeShop {
  shop: string;
  panel: string;
}

/** Makes a shop of so many products, with a panel of so many facets: five of check boxes, then a slider, and so on. */
export async function makeShop(origin: string, products: number, facets: number): Promise<MadeShop> {
  const random = new Random(30);
  const keys = Array.from({ length: facets }, (_, f) => `field ${f}`);
  const rows = Array.from({ length: products }, (_, p) => [
    `p${p}`,
    `Product ${p}`,
    ...keys.map((_, f) =>
      f % 6 === 5 ? String(random.whole(1, 500)) : `value ${Math.floor(random.next() ** 2 * (3 + f))}`,
    ),
  ]);
  const form = new FormData();
  form.set(
    "file",
    new File(
      [["product_id,title", ...keys].join(","), ...rows.map((row) => row.join(","))].map((row) => `${row}\n`),
      "large.csv",
    ),
  );
  form.set("name", `${products} products`);
  form.set("currency", "EUR");
  const headers = { origin };
  const shop = await (await fetch(`${origin}/api/shops`, { method: "POST", body: form, headers })).json();
  const list = keys.map((name, f) =>
    newFacet(`f${f}`, name.replace(" ", "-"), f % 6 === 5 ? "slider" : "check-boxes", f % 6 === 5 ? "range" : "any"),
  );
  const document = { ...emptyPanel("Made"), rows: list };
  const made = await fetch(`${origin}/api/shops/${shop.slug}/documents/panel`, {
    method: "POST",
    body: JSON.stringify({ document }),
    headers: { ...headers, "content-type": "application/json" },
  });
  return { shop: shop.slug, panel: (await made.json()).slug };
}

/** Publishes the draft of a shop on a server. */
export async function publish(origin: string, shop: string): Promise<void> {
  await fetch(`${origin}/api/shops/${shop}/editions`, {
    method: "POST",
    headers: { origin, "content-type": "application/json" },
    body: JSON.stringify({ note: "" }),
  });
}
