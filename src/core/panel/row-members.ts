import { string } from "yup";
import { optionalRecord, text } from "../document/schema.ts";

/** Members that rows of all kinds have. */

/** A row's name within its panel. */
export const idSchema = () =>
  string()
    .strict()
    .matches(/^[\w-]{1,40}$/, ({ path }) => `${path} must be 1 to 40 letters, digits, - or _`)
    .required();

/** Text that shoppers read or hear; empty for the default. */
export const labelSchema = () => text(200);

/** By BCP 47 tag, the label in other languages. */
export const labelsSchema = optionalRecord(text(500));

/** An address that is empty or safe. @param what what it must be, for the error */
export const addressSchema = (isSafe: (address: string) => boolean, what: string) =>
  text(2000).test(
    "safe",
    ({ path }) => `${path} ${what}`,
    (address) => !address || isSafe(address),
  );
