import { array, mixed, number, object, type Schema, string } from "yup";
import { checkDocument, checkKind, exact, oneOf } from "../document/check.ts";
import { modes } from "../match/selection.ts";
import type { Band } from "./bands.ts";
import { countings, deadEnds, displayNames, optionOrders, type PanelDocument, panelFormat, pieceNames, placements, starts } from "./document.ts";

const banded = <T extends string>(values: readonly T[]) =>
  object({
    wide: oneOf(values),
    medium: string<T>().strict().oneOf(values),
    slim: string<T>().strict().oneOf(values),
  } satisfies Record<Band, Schema>)
    .noUnknown()
    .strict()
    .required();

const px = () => number().strict().integer().min(200).max(4000).required();
const id = () =>
  string()
    .strict()
    .matches(/^[\w-]{1,40}$/, ({ path }) => `${path} must be 1 to 40 letters, digits, - or _`)
    .required();
const label = () => string().strict().max(200).defined();

const facet = exact({
  kind: oneOf(["facet"]),
  id: id(),
  field: string().strict().min(1).max(200).required(),
  label: label(),
  display: banded(displayNames),
  mode: oneOf(modes),
  start: oneOf(starts),
  counting: oneOf(countings),
  deadEnd: oneOf(deadEnds),
  order: oneOf(optionOrders),
  foldAfter: number().strict().integer().min(0).max(10_000).required(),
});

const piece = exact({ kind: oneOf(["piece"]), id: id(), piece: oneOf(pieceNames), label: label() });

const row = mixed().test("row", (value, context) => checkKind({ facet, piece }, value, context));

const panel = object({
  format: number().strict().oneOf([panelFormat]).required(),
  name: string().strict().trim().min(1).max(100).required(),
  limits: object({ medium: px(), wide: px() })
    .noUnknown()
    .strict()
    .required()
    .test("limits", "limits.wide must be greater than limits.medium", (limits) => limits.wide > limits.medium),
  placement: banded(placements),
  rows: array()
    .of(row)
    .strict()
    .max(200)
    .required()
    .test("once", (rows, context) => {
      const list = rows as { id?: string; field?: string }[];
      for (const key of ["id", "field"] as const) {
        const at = list.findIndex((one, i) => one?.[key] !== undefined && list.some((other, j) => j < i && other?.[key] === one[key]));
        if (at >= 0) {
          const path = `rows[${at}].${key}`;
          return context.createError({ path, message: `${path} “${list[at][key]}” stands in the panel twice` });
        }
      }
      return true;
    }),
})
  .noUnknown()
  .strict()
  .required();

/** The value as a panel document. @throws InvalidDocument */
export const checkPanel = (value: unknown): PanelDocument => checkDocument("panel", panel, value);
