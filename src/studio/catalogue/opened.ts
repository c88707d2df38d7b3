import type { Field } from "../../core/catalogue/field.ts";
import { isNested } from "../../core/catalogue/field-kinds.ts";
import { identity } from "../../core/catalogue/identity.ts";
import type { OpenedNumber } from "../numbers/opened-number.ts";

const whole = { within: [], text: "" };

/** The products with a value of a field, as a number that opens. */
export const productsWith = ({ key, name, kind }: Field, label: string, told: number): OpenedNumber => ({
  title: `${name}: ${label}`,
  says: `Products of the whole shop whose ${name} is ${label}, in one variant at least.${isNested({ kind }) ? " Its subcategories count too." : ""}`,
  told,
  behind: {
    products: [
      {
        ...whole,
        facets: [{ field: key, mode: isNested({ kind }) ? "tree" : "any" }],
        ways: [{ [key]: { options: [identity(label)] } }],
      },
    ],
  },
});

/** The products with any value of a field, as a number that opens. */
export const productsStating = ({ key, name }: Field, told: number, outOf: number): OpenedNumber => ({
  title: `Reach of ${name}`,
  says: `Products of the whole shop that have a value for ${name}, in one variant at least. A facet over it can find no more than these, of ${outOf.toLocaleString("en")}.`,
  told,
  behind: { products: [{ within: [], field: key, states: true }] },
});

/** The products without a value of a field, as a number that opens. */
export const productsWithout = ({ key, name }: Field, told: number): OpenedNumber => ({
  title: `No ${name}`,
  says: `Products of the whole shop that have no value for ${name}. They disappear as soon as a shopper uses a facet over it.`,
  told,
  behind: { products: [{ within: [], field: key, states: false }] },
});
