import { readFileSync } from "node:fs";
import { join } from "node:path";
import type { MikroORM } from "@mikro-orm/libsql";
import { demoLook } from "../../demo/look.ts";
import { demoPages } from "../../demo/pages.ts";
import { demoAside, demoPanel, demoQuestions } from "../../demo/panel.ts";
import { readCatalogue } from "../core/catalogue/read.ts";
import { shopKind } from "../core/shop/kind.ts";
import { publish } from "./store/editions.ts";
import { removedShops } from "./store/removal.ts";
import { createShop, importOf, listShops } from "./store/shops.ts";

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
  return true;
}
