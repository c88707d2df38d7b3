import type { SqlEntityManager } from "@mikro-orm/libsql";
import type { PanelHeights } from "../core/api/panel-heights.ts";
import { type HeightsFile, readHeights } from "../core/rehearsal/heights-file.ts";
import { readFolder } from "../core/shop/archive/read-folder.ts";
import type { WholeShop } from "../core/shop/archive/whole-shop.ts";
import type { Shop } from "../server/store/tables/shop.ts";
import { type Command, didYouMean, onlyOne } from "./command.ts";
import { readFiles } from "./folder.ts";
import { UsageError } from "./usage-error.ts";

/** The options that name a shop of the database in place of a folder. */
export const shopOptions = {
  shop: { type: "string" },
  data: { type: "string" },
  edition: { type: "string" },
} as const;

/** Their help. @param usual what is read without `--edition` */
export const shopHelp = (usual: string): Command["options"] => [
  ["--shop SLUG", "Shop of the database, in place of a folder; the tool may be running"],
  ["--edition N", "Edition to read, or draft", usual],
  ["--data FILE", "Database to read", "data/trellis.db"],
];

export interface GivenShop {
  whole: WholeShop;
  /** The heights in its folder, if any. */
  heights?: HeightsFile | undefined;
  /** Heights of the edition’s panels that a browser has measured, if any. */
  measured?: PanelHeights["heights"] | undefined;
  /** The state that was read from the database; undefined for a folder. */
  state?: number | "draft";
}

/**
 * The shop that a command is about: of a folder, or of the database with `--shop`.
 * @param usual the state to read without `--edition`
 * @throws UsageError, FolderFault
 */
export async function givenShop(
  positionals: readonly string[],
  { shop, data, edition }: { shop?: string | undefined; data?: string | undefined; edition?: string | undefined },
  command: Command,
  usual: "newest" | "draft",
): Promise<GivenShop> {
  if (shop === undefined) {
    if (data !== undefined || edition !== undefined)
      throw new UsageError(`Name a shop with --shop to read the database. Usage: ${command.usage}`);
    const files = readFiles(onlyOne(positionals, "shop folder", command));
    return { whole: readFolder(files), heights: readHeights(files) };
  }
  if (positionals.length > 0) throw new UsageError(`Name a folder or --shop, not both. Usage: ${command.usage}`);
  const { withReading } = await import("./database.ts");
  return withReading(data, (em) => stateOfShop(em, shop, edition, usual));
}

async function stateOfShop(
  em: SqlEntityManager,
  slug: string,
  edition: string | undefined,
  usual: "newest" | "draft",
): Promise<GivenShop> {
  const { heightsOfEdition, listEditions, stateOf } = await import("../server/store/editions.ts");
  const shop = await findShopNamed(em, slug);
  const editions = (await listEditions(em, shop)).map(({ n }) => n);
  const [newest] = editions;
  const state = edition ?? (usual === "draft" ? usual : newest);
  if (state === undefined) throw new UsageError(`“${slug}” has no edition yet. Publish it, or use --edition draft.`);
  if (state === "draft") return { whole: await stateOf(em, shop, "draft"), state };
  const n = Number(state);
  if (!editions.includes(n))
    throw new UsageError(
      `“${slug}” has no edition ${state}. ${newest === undefined ? "It has none yet." : `Its newest is ${newest}.`}`,
    );
  return { whole: await stateOf(em, shop, n), state: n, measured: await heightsOfEdition(em, shop, n) };
}

/** A shop of the database. @throws UsageError with the slug that was probably meant */
export async function findShopNamed(em: SqlEntityManager, slug: string): Promise<Shop> {
  const { findShop, listShops } = await import("../server/store/shops.ts");
  const shop = await findShop(em, slug);
  if (shop) return shop;
  const known = (await listShops(em)).map((one) => one.slug);
  throw new UsageError(`There is no shop “${slug}”.${didYouMean(slug, known)}`);
}
