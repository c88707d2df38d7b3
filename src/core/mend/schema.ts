import { array, mixed, number, string } from "yup";
import { checkDocument, checkKind, exact, oneOf } from "../document/check.ts";
import { type MendDocument, mendFormat } from "./document.ts";

const text = (longest = 500) => string().strict().min(1).max(longest).required();
const texts = (most: number) => array().of(text()).strict().max(most).required();
const id = () => text(60);

const kinds = {
  values: exact({ id: id(), kind: oneOf(["values"]), field: text(), from: texts(2000).min(1), to: texts(50) }),
  set: exact({ id: id(), kind: oneOf(["set"]), field: text(), products: texts(200_000).min(1), to: texts(50) }),
  cell: exact({ id: id(), kind: oneOf(["cell"]), field: text(), product: text(), variant: text(), to: texts(50) }),
  units: exact({ id: id(), kind: oneOf(["units"]), field: text(), unit: text(20) }),
};

const document = exact({
  format: number().strict().oneOf([mendFormat]).required(),
  mends: array()
    .of(mixed().test("mend", (value, context) => checkKind(kinds, value, context)))
    .strict()
    .max(5000)
    .required(),
}).required();

/** The value as mends. @throws InvalidDocument */
export const checkMends = (value: unknown): MendDocument => checkDocument("list of mends", document, value);
