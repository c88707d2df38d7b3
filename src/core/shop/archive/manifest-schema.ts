import { type InferType, number } from "yup";
import { shopCurrency, shopName } from "../../api/shop.ts";
import { fieldSchema } from "../../catalogue/field-schema.ts";
import { rememberedReadings } from "../../catalogue/reading-schema.ts";
import { exact, listOf, someText } from "../../document/schema.ts";
import { type AnyKind, allKinds, type KindName, type kinds } from "../kinds.ts";
import { shopSchema } from "../shop-schema.ts";

export const folderFormat = 1;

type Kinds = typeof kinds;
type ManyMember = { [K in KindName]: Kinds[K]["many"] extends true ? Kinds[K]["member"] : never }[KindName];

/** A record with a member for each kind of which a shop has many: in `shop.json`, its file names in order. */
export const orderLists = <T>(of: (kind: AnyKind) => T): Record<ManyMember, T> =>
  Object.fromEntries(
    allKinds()
      .filter(({ many }) => many)
      .map((kind) => [kind.member, of(kind)]),
  ) as Record<ManyMember, T>;

/** `shop.json`: the shop's name and settings, and the order of the other files. */
export const manifestSchema = () =>
  exact({
    format: number<typeof folderFormat>().strict().oneOf([folderFormat]).required(),
    name: shopName,
    currency: shopCurrency,
    settings: shopSchema,
    /** The columns of `catalogue.csv`, in order; a missing one is read as a new column. */
    columns: listOf(fieldSchema, 10_000),
    /** How the columns of the imported file were read, for the next one. */
    reading: rememberedReadings,
    ...orderLists(() => listOf(someText(200), 10_000).default([])),
  });

export type Manifest = InferType<ReturnType<typeof manifestSchema>>;

/** The names of a kind's files, in the manifest's order. */
export const orderIn = (manifest: Manifest, { member }: AnyKind): readonly string[] =>
  Object.entries<unknown>(manifest).flatMap(([name, list]) =>
    name === member && Array.isArray(list) ? list.filter((one) => typeof one === "string") : [],
  );
