import { type InferType, number } from "yup";
import { byMember, exact, listOf, oneOf, someText, text } from "../../document/schema.ts";
import { fieldKinds } from "../field-kind-words.ts";
import { fieldLevels } from "../field-names.ts";
import { decimalMarks } from "../numbers/plain-number.ts";
import { dateOrders, separatorSchema } from "../reading-schema.ts";

/** Version of the corrections format that this code writes. */
export const mendFormat = 1;

const value = () => someText(500);
const values = (most: number) => listOf(value(), most);
const id = () => someText(60);

const mends = {
  /**
   * Replaces values: one for a rename, several sources for a merge, several targets for a split, no target to remove
   * them.
   */
  values: exact({ id: id(), kind: oneOf(["values"]), field: value(), from: values(2000).min(1), to: values(50) }),
  /** All variants of some products state these values. */
  set: exact({ id: id(), kind: oneOf(["set"]), field: value(), products: values(200_000).min(1), to: values(50) }),
  /** One variant states these values. */
  cell: exact({ id: id(), kind: oneOf(["cell"]), field: value(), product: value(), variant: value(), to: values(50) }),
  /** A field's name and reading, where they differ from the file. */
  field: exact({
    id: id(),
    kind: oneOf(["field"]),
    field: value(),
    /** Its name in the tool, and for shoppers where a facet has no label of its own. */
    name: text(200).optional(),
    /** The kind of its values. */
    values: oneOf(fieldKinds).optional(),
    /** The separator of several values in a cell. */
    separator: separatorSchema().optional(),
    decimal: oneOf(decimalMarks).optional(),
    dates: oneOf(dateOrders).optional(),
    /** Product level: all variants of a product state the values of any of them. Variant level: each its own. */
    level: oneOf(fieldLevels).optional(),
    /** Written after its numbers; none if empty. */
    unit: text(20).optional(),
  }),
  /** Values that are numbers with units become plain numbers in one unit. */
  units: exact({ id: id(), kind: oneOf(["units"]), field: value(), unit: someText(20) }),
};

/** The corrections over a shop's catalogue, in order. The imported catalogue itself is never changed. */
export const mendsSchema = exact({
  format: number<typeof mendFormat>().strict().oneOf([mendFormat]).required(),
  mends: listOf(byMember("kind", mends), 5000),
});

export type MendDocument = InferType<typeof mendsSchema>;

/**
 * One correction of a catalogue. Values are given by identity, so that a correction also applies to spellings in later
 * imports.
 */
export type Mend = MendDocument["mends"][number];
export type MendOf<K extends Mend["kind"]> = Extract<Mend, { kind: K }>;

/** A correction that has no id yet. */
export type NewMend = { [K in Mend["kind"]]: Omit<MendOf<K>, "id"> }[Mend["kind"]];
