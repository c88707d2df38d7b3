import { array, mixed, number, object, type Schema, string, ValidationError } from "yup";
import { modes } from "../match/selection.ts";
import type { Band } from "./bands.ts";
import { countings, deadEnds, displayNames, optionOrders, type PanelDocument, panelFormat, pieceNames, placements, starts } from "./document.ts";

const oneOf = <T extends string>(values: readonly T[]) => string<T>().strict().oneOf(values).required();

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

const facet = object({
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
})
  .noUnknown()
  .strict();

const piece = object({ kind: oneOf(["piece"]), id: id(), piece: oneOf(pieceNames), label: label() })
  .noUnknown()
  .strict();

const row = mixed().test("row", (value, context) => {
  const schema = (value as { kind?: unknown } | null)?.kind === "piece" ? piece : facet;
  try {
    schema.validateSync(value, { abortEarly: true });
    return true;
  } catch (error) {
    const fault = error as ValidationError;
    const path = [context.path, fault.path].filter(Boolean).join(".");
    // Yup names a nested value by its own path only; the row's place belongs in front.
    const message = fault.path ? fault.message.replace(fault.path, path) : fault.message.replace("this", path);
    return context.createError({ path, message });
  }
});

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

/** A document that is not a valid panel; `path` names the first fault, like `rows[2].display.wide`. */
export class InvalidPanel extends Error {
  override name = "InvalidPanel";
  readonly path: string;
  constructor(path: string, message: string) {
    super(message);
    this.path = path;
  }
}

/** The value as a panel document. @throws InvalidPanel */
export function checkPanel(value: unknown): PanelDocument {
  try {
    return panel.validateSync(value, { abortEarly: true }) as PanelDocument;
  } catch (error) {
    if (!(error instanceof ValidationError)) throw error;
    throw new InvalidPanel(error.path ?? "", error.message);
  }
}
