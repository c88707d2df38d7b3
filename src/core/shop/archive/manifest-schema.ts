import { type InferType, number } from "yup";
import { shopCurrency, shopName } from "../../api/shop.ts";
import { fieldSchema } from "../../catalogue/field-schema.ts";
import { rememberedReadings } from "../../catalogue/reading-schema.ts";
import { exact, listOf, someText } from "../../document/schema.ts";
import { shopSchema } from "../shop-schema.ts";

export const folderFormat = 1;

/** `shop.json`: what a shop is called, what holds for all of it, and what the other files are. */
export const manifestSchema = exact({
  format: number<typeof folderFormat>().strict().oneOf([folderFormat]).required(),
  name: shopName,
  currency: shopCurrency,
  settings: shopSchema,
  /** The columns of `catalogue.csv`, in order; one that is not here is read as any new column is. */
  columns: listOf(fieldSchema, 10_000),
  /** How the columns of the file were read that the catalogue came from, for the next one. */
  reading: rememberedReadings,
  /** Names of the panels' and looks' files, in order. */
  panels: listOf(someText(200), 10_000),
  looks: listOf(someText(200), 10_000),
});

export type Manifest = InferType<typeof manifestSchema>;
