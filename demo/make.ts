/** Writes the demo shop's catalogue, pictures and visits, and the stand-in site's list of products: `npm run demo:make`. The result is committed. */
import { mkdirSync, readFileSync, rmSync, writeFileSync } from "node:fs";
import { dirname, join } from "node:path";
import { fileURLToPath } from "node:url";
import Papa from "papaparse";
import { readCatalogue } from "../src/core/catalogue/read.ts";
import { headings, makeNursery } from "./nursery.ts";
import { drawPicture } from "./picture.ts";
import { stockPage } from "./stock-page.ts";
import { demoVisits, visitsName } from "./visits.ts";

const here = dirname(fileURLToPath(import.meta.url));
const pictures = join(here, "pictures");
const products = makeNursery();
const rows = products.flatMap((product) => product.rows);

rmSync(pictures, { recursive: true, force: true });
mkdirSync(pictures, { recursive: true });
for (const product of products) writeFileSync(join(pictures, `${product.id}.svg`), drawPicture(product));
const csv = Papa.unparse(
  { fields: [...headings], data: rows.map((row) => headings.map((heading) => row[heading] ?? "")) },
  { newline: "\n" },
);
writeFileSync(join(here, "nursery.csv"), `${csv}\n`);
writeFileSync(
  join(here, "site/stock.html"),
  stockPage(readFileSync(join(here, "site/stock.template.html"), "utf8"), products),
);
writeFileSync(join(here, visitsName), demoVisits(readCatalogue(new TextEncoder().encode(csv)).catalogue));
console.log(`${products.length} products, ${rows.length} variants`);
