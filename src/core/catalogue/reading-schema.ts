import { type InferType, mixed, string } from "yup";
import { said } from "../document/json-schema.ts";
import { exact, listOf, oneOf, someText, text } from "../document/schema.ts";
import { fieldKinds } from "./field-kind-words.ts";
import { knownColumns } from "./field-names.ts";
import { type LevelMark, levelMarks } from "./levels.ts";
import { decimalMarks } from "./numbers/plain-number.ts";

/** The orders in which day, month and year are written. */
export const dateOrders = ["ymd", "dmy", "mdy"] as const;
/** The separator of several values in one cell; none when a cell is one whole text. */
export const separators = ["|", ";", ",", "/", ""] as const;
/** The possible meanings of a column: a known column, an attribute, or nothing at all. */
export const columnUses = [...knownColumns, "attribute", "skip"] as const;

/** The separator of several values; an empty text means none, which differs from an absent one. */
export const separatorSchema = () => string<Separator>().strict().oneOf(separators).defined();

/** How one column of a file is read. Defaults follow the catalogue format. */
export const columnReading = exact({
  as: oneOf(columnUses),
  /** The kind of its values. Default: the kind that all of them look like. */
  kind: oneOf(fieldKinds).optional(),
  /** Default: `|`. */
  separator: separatorSchema().optional(),
  /** The separator of a path's levels. Default: ` > `. */
  levels: string<LevelMark>().strict().oneOf(levelMarks).optional(),
  /** Default: a point. */
  decimal: oneOf(decimalMarks).optional(),
  /** Default: year, month, day. */
  dates: oneOf(dateOrders).optional(),
  /** The unit that its values carry and are converted to. */
  unit: someText(20).optional(),
  /** Key of the shop's field that this column continues, if its heading has changed. */
  field: someText(500).optional(),
  /** Its values are also the products' titles; for a file without a title column. */
  titles: mixed<true>((value): value is true => value === true)
    .optional()
    .meta(said(() => ({ const: true }), { optional: true })),
});

/** How a column of a shop's last file was read, for the next file. */
export const rememberedReading = columnReading.concat(exact({ heading: text(2000) }));
export const rememberedReadings = listOf(rememberedReading, 2000);

export type DateOrder = (typeof dateOrders)[number];
export type Separator = (typeof separators)[number];
export type ColumnMapping = InferType<typeof columnReading>;
export type RememberedReading = InferType<typeof rememberedReading>;

/** For each heading of a file, in order. */
export type Reading = ColumnMapping[];
