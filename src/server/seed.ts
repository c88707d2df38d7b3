import { readFileSync } from "node:fs";
import { join } from "node:path";
import type { MikroORM } from "@mikro-orm/libsql";
import { demoLook } from "../../demo/look.ts";
import { demoPages } from "../../demo/pages.ts";
import { demoAside, demoPanel, demoQuestions } from "../../demo/panel.ts";
import { readCatalogue } from "../core/catalogue/read.ts";
import { VisitReader } from "../core/rehearsal/visit-report.ts";
import { shopKind } from "../core/shop/kind.ts";
import { publish } from "./store/editions.ts";
import { removedShops } from "./store/removal.ts";
import { createShop, importOf, listShops } from "./store/shops.ts";
import { keepVisitFile } from "./store/visits.ts";

/** The demo's visits, made by trial shoppers: `demo/visits.ts`. */
const visitsName = "visits.jsonl";

/** Creates the demo shop if there is no shop at all. @returns whether it did */
export async function seedDemo(orm: MikroORM, root: string): Promise<boolean> {
  const em = orm.em.fork();
  if ((await listShops(em)).length > 0 || (await removedShops(em)).length > 0) return false;
  const { catalogue } = readCatalogue(new Uint8Array(readFileSync(join(root, "demo/nursery.csv"))));
  const shop = await createShop(orm.em.fork(), {
    name: "Larkmoss Nursery",
    currency: "EUR",
    ...importOf(catalogue),
    panels: [demoPanel, demoQuestions, demoAside],
    pages: demoPages,
    looks: [demoLook],
    settings: { ...shopKind.fresh(""), look: "larkmoss" },
  });
  await publish(orm.em.fork(), shop, "First edition");
  const reader = new VisitReader(Date.now());
  for (const line of readFileSync(join(root, "demo", visitsName), "utf8").split("\n")) reader.add(line);
  await keepVisitFile(orm.em.fork(), shop, { name: visitsName, report: reader.report(), madeUp: true });
  return true;
}
