import { array, boolean, lazy, mixed, number, object, type Schema, string } from "yup";
import { checkDocument, checkKind, exact, oneOf } from "../document/check.ts";
import { modes } from "../match/selection.ts";
import type { Band } from "./bands.ts";
import { cleanHtml } from "./clean-html.ts";
import { displayNames, type PanelDocument, panelFormat, placements } from "./document.ts";
import { shownChoices } from "./options.ts";
import { isSafeAddress, isSafePicture, pieceNames } from "./pieces.ts";
import { facetSettings, type SettingDefinition } from "./setting-definitions.ts";
import { type SettingName, settingNames } from "./settings.ts";

function banded(make: () => Schema) {
  return exact({ wide: make().required(), medium: make().optional(), slim: make().optional() } as Record<Band, Schema>);
}

const px = () => number().strict().integer().min(200).max(4000).required();
const id = () =>
  string()
    .strict()
    .matches(/^[\w-]{1,40}$/, ({ path }) => `${path} must be 1 to 40 letters, digits, - or _`)
    .required();
const label = (longest = 200) => string().strict().max(longest).defined();
const key = () => string().strict().min(1).max(200).required();
/** A BCP 47 tag that `Intl` knows how to read. */
const language = () =>
  string()
    .strict()
    .test(
      "language",
      ({ path }) => `${path} is no language tag like “de” or “pt-BR”`,
      (tag) => tag !== undefined && isLanguage(tag),
    )
    .required();

function isLanguage(tag: string): boolean {
  try {
    return Intl.getCanonicalLocales(tag).length === 1;
  } catch {
    return false;
  }
}

/** An object with any keys and values of one kind. @param given undefined is taken too when it is optional */
const record = (value: () => Schema, isOptional = false) =>
  lazy((given: unknown): Schema => {
    if (given === undefined && isOptional) return mixed().optional();
    return typeof given === "object" && given !== null && !Array.isArray(given)
      ? exact(Object.fromEntries(Object.keys(given).map((name) => [name, value()])))
      : object().strict().required();
  }) as unknown as Schema;
const words = () => record(() => label(500).required(), true);

/** What a setting's value may be, from its definition. */
function settingSchema(definition: SettingDefinition<unknown>): Schema {
  switch (definition.kind) {
    case "choice":
      return string().strict().oneOf(Object.keys(definition.choices));
    case "yes-no":
      return boolean().strict();
    case "text":
      return string().strict().max(definition.longest);
    case "numbers":
      return array().of(number().strict().required()).strict().max(definition.most);
    case "number": {
      const range = number().strict().min(definition.min).max(definition.max);
      return definition.fallback === null ? range.nullable() : range;
    }
  }
}

const settings = exact(
  Object.fromEntries(
    settingNames.map((name: SettingName) => {
      const definition = facetSettings[name] as SettingDefinition<unknown>;
      const one = () => settingSchema(definition);
      return [name, definition.banded ? banded(one).optional().default(undefined) : one().optional()];
    }),
  ),
);

const value = exact({ id: key(), label: label(500), products: number().strict().integer().min(0).required() });
const options = exact({
  show: oneOf(shownChoices),
  picked: array().of(value).strict().max(5000).required(),
  labels: record(() => exact({ text: label(500), others: words() })),
  merges: array()
    .of(exact({ label: string().strict().trim().min(1).max(200).required(), values: array().of(value).strict().min(1).max(1000).required() }))
    .strict()
    .max(500)
    .required(),
  byHand: array().of(key()).strict().max(5000).required(),
});

const facet = exact({
  kind: oneOf(["facet"]),
  id: id(),
  field: key(),
  label: label(),
  labels: words(),
  display: banded(() => string().strict().oneOf(displayNames)).required(),
  mode: oneOf(modes),
  settings: settings.required(),
  options: options.optional().default(undefined),
});

const safe = (test: (address: string) => boolean, what: string) =>
  string()
    .strict()
    .max(2000)
    .defined()
    .test(
      "safe",
      ({ path }) => `${path} ${what}`,
      (address) => !address || test(address),
    );
const piece = {
  kind: oneOf(["piece"]),
  id: id(),
  piece: oneOf(pieceNames),
  label: label(),
  labels: words(),
};
const pieces: Record<string, Schema> = {
  heading: exact({ ...piece, level: number().strict().oneOf([2, 3, 4]).required() }),
  text: exact({
    ...piece,
    html: string()
      .strict()
      .max(20_000)
      .defined()
      .test(
        "clean",
        ({ path }) => `${path} holds markup that is not allowed`,
        (html) => html === undefined || cleanHtml(html) === html,
      ),
  }),
  picture: exact({
    ...piece,
    src: safe(isSafePicture, "must begin with https:// or /"),
    href: safe(isSafeAddress, "must begin with https://, mailto:, tel:, / or ?"),
  }),
  links: exact({
    ...piece,
    field: label(),
    mode: oneOf(["any", "tree"]),
    values: mixed().test(
      "values",
      ({ path }) => `${path} must be “all” or a list of values`,
      (values) => values === "all" || (Array.isArray(values) && values.length <= 1000 && values.every((one) => typeof one === "string")),
    ),
    counts: boolean().strict().required(),
  }),
};
const plainPiece = exact(piece);

const row = mixed().test("row", (given, context) => {
  const name = (given as { piece?: unknown } | null)?.piece;
  const own = typeof name === "string" && Object.hasOwn(pieces, name) ? pieces[name] : plainPiece;
  return checkKind({ facet, piece: own }, given, context);
});

const panel = exact({
  format: number().strict().oneOf([panelFormat]).required(),
  name: string().strict().trim().min(1).max(100).required(),
  languages: array().of(language()).strict().max(20).required(),
  limits: exact({ medium: px(), wide: px() })
    .required()
    .test("limits", "limits.wide must be greater than limits.medium", (limits) => limits.wide > limits.medium),
  placement: banded(() => string().strict().oneOf(placements)).required(),
  rows: array()
    .of(row)
    .strict()
    .max(200)
    .required()
    .test("rows", (rows, context) => {
      const list = rows as { id?: string; field?: string; kind?: string; mode?: string }[];
      const fault = (at: number, name: string, message: string) => {
        const path = `rows[${at}].${name}`;
        return context.createError({ path, message: `${path} ${message}` });
      };
      const twice = list.findIndex((one, at) => list.some((other, before) => before < at && other?.id === one?.id));
      if (twice >= 0) return fault(twice, "id", `“${list[twice].id}” stands in the panel twice`);
      const apart = list.findIndex((one, at) =>
        list.some(
          (other, before) => before < at && one?.kind === "facet" && other?.kind === "facet" && other.field === one.field && other.mode !== one.mode,
        ),
      );
      return apart < 0 || fault(apart, "mode", "differs from that of another row over the same field");
    }),
}).required();

/** The value as a panel document. @throws InvalidDocument */
export const checkPanel = (given: unknown): PanelDocument => checkDocument("panel", panel, given);
