import { boolean, type InferType, type ISchema, lazy, mixed, number, type Schema, string } from "yup";
import { largest } from "../catalogue/numbers/bounds.ts";
import { displayNames, displays } from "../displays/displays.ts";
import { isPlain } from "../document/is-plain.ts";
import { said } from "../document/json-schema.ts";
import { byMember, exact, listOf, numberIn, oneOf, record, someText, text, wholeIn } from "../document/schema.ts";
import { type Mode, modes } from "../engine/question.ts";
import { tokenValues } from "../look/look-schema.ts";
import { isSafePicture } from "../sanitize/safe-address.ts";

import { type Band, bands } from "../settings/band.ts";
import { type BehaviourValues, behaviours } from "../settings/behaviour.ts";
import { behaviourDefinition } from "../settings/behaviour-definitions.ts";
import { placements } from "../settings/placement.ts";
import { type SettingDefinition, settingDefinition } from "../settings/setting-definitions.ts";
import { type SettingValues, settingNames } from "../settings/settings.ts";
import { panelFormat } from "./panel-format.ts";
import { type PieceRow, pieceSchemas } from "./pieces.ts";
import { addressSchema, idSchema, labelSchema, labelsSchema } from "./row-members.ts";

/** One of some texts, for the wide band and for narrower bands that differ. */
function bandedText<T extends string>(values: readonly T[]) {
  const one = string<T>().strict().oneOf(values);
  return exact({ wide: one.required(), medium: one.optional(), slim: one.optional() });
}

/** A text in other languages, by BCP 47 tag. */
const wordsIn = (longest: number) =>
  mixed<Record<string, string>>()
    .test(
      "words",
      ({ path }) => `${path} must contain texts of at most ${longest} characters, by language`,
      (given: unknown) =>
        given === undefined ||
        (isPlain(given) && Object.values(given).every((one) => typeof one === "string" && one.length <= longest)),
    )
    .meta(said((of) => of(record(text(longest)))));

/** The possible values of a setting, from its definition. */
function settingSchema(definition: SettingDefinition): Schema {
  switch (definition.kind) {
    case "choice":
      return string().strict().oneOf(Object.keys(definition.choices));
    case "yes-no":
      return boolean().strict();
    case "text":
      return string().strict().max(definition.longest);
    case "numbers":
      return listOf(numberIn(-largest, largest).required(), definition.most).optional();
    case "words":
      return wordsIn(definition.longest);
    case "picture":
      return addressSchema(isSafePicture, "must begin with https:// or /");
    case "number": {
      const one = numberIn(definition.min, definition.max);
      return definition.fallback === null ? one.nullable() : one;
    }
  }
}

/** A schema for settings that are not at their default. */
const sparse = (definitions: Readonly<Record<string, SettingDefinition>>) =>
  exact(
    Object.fromEntries(
      Object.entries(definitions).map(([name, definition]) => {
        const one = settingSchema(definition);
        // A required value cannot be null, and some settings can.
        const wide = definition.fallback === null ? one.defined() : one.required();
        const byBand = { wide, medium: one.optional(), slim: one.optional() } satisfies Record<Band, Schema>;
        return [name, definition.banded ? exact(byBand).optional().default(undefined) : one.optional()];
      }),
    ),
  );

const settings: ISchema<SettingValues> = sparse(
  Object.fromEntries(settingNames.map((name) => [name, settingDefinition(name)])),
);
const behaviour: ISchema<BehaviourValues> = sparse(
  Object.fromEntries(behaviours.names.map((name) => [name, behaviourDefinition(name)])),
);

/**
 * A value edited by the designer, with the number of products that stated it then: it may disappear from the catalogue
 * later.
 */
const namedValue = exact({ id: someText(500), label: text(500), products: wholeIn(0, largest).required() });

/** Which of a facet's options are shown to shoppers, their labels, and their order by hand. */
const optionRules = exact({
  /** All options, only those picked, or all but those picked. New values are shown unless only picked ones are. */
  show: oneOf(["all", "only", "except"]),
  picked: listOf(namedValue, 5000),
  /** For a tree, the category whose subcategories alone are shown, including later ones; empty for the top level. */
  below: text(2000).optional(),
  /** Option identity → label for shoppers, in the panel's own language and in others. */
  labels: record(exact({ text: text(500), others: labelsSchema })),
  /** Values that are one option. */
  merges: listOf(
    exact({
      label: string().strict().trim().min(1).max(200).required(),
      values: listOf(namedValue, 1000).min(1),
      /** Values hidden before the merge; unmerging hides them again. */
      left: listOf(someText(500), 1000).optional().default(undefined),
    }),
    500,
  ),
  /** Option identities in the order by hand; others follow. */
  byHand: listOf(someText(500), 5000),
});

/** A row of the panel with one facet over one field. */
const facetRow = exact({
  kind: oneOf(["facet"]),
  /** Unique in the panel. */
  id: idSchema(),
  /** Key of the catalogue's field. Two rows of one field share their choice, mode and merged options. */
  field: someText(200),
  /** The title above the options; the field's name when empty. */
  label: labelSchema(),
  labels: labelsSchema,
  display: bandedText(displayNames),
  mode: oneOf(modes),
  settings,
  /** The option style of the panel's look used for its options. */
  style: idSchema().optional().default(undefined),
  /** Look values for this facet only. */
  look: lazy((given: unknown) => (given === undefined ? mixed<never>().optional() : tokenValues)).meta(
    said((of) => of(tokenValues), { optional: true }),
  ),
  /** Absent if shoppers get all options as spelt in the catalogue. */
  options: optionRules.optional().default(undefined),
});

const pieces = pieceSchemas();

const anyRow = lazy((given: unknown) =>
  typeof given === "object" && given !== null && "kind" in given && given.kind === "piece"
    ? byMember("piece", pieces).resolve({ value: given })
    : facetRow,
).meta(said((of) => ({ anyOf: [facetRow, ...Object.values(pieces)].map(of) })));

/** A filter panel: an ordered list of facets and pieces, and its placement. */
export const panelSchema = exact({
  format: number<typeof panelFormat>().strict().oneOf([panelFormat]).required(),
  /** For the designer only. */
  name: string().strict().trim().min(1).max(100).required(),
  placement: bandedText(placements),
  /** Its behaviour, where it differs from the default. */
  behaviour: lazy((given: unknown) => (given === undefined ? mixed<never>().optional() : behaviour)).meta(
    said((of) => of(behaviour), { optional: true }),
  ),
  /** The look it is drawn in; absent for the shop's. */
  look: someText(200).optional(),
  rows: listOf(anyRow, 200).test("rows", (rows, context) => {
    const fault = faultIn(rows);
    if (!fault) return true;
    const path = `rows[${fault.at}].${fault.member}`;
    return context.createError({ path, message: `${path} ${fault.words}` });
  }),
});

export type FacetRow = InferType<typeof facetRow>;
export type Row = FacetRow | PieceRow;
export type OptionRules = InferType<typeof optionRules>;
export type NamedValue = InferType<typeof namedValue>;
export type PanelDocument = InferType<typeof panelSchema>;

const isRow = (value: unknown): value is Row => {
  if (typeof value !== "object" || value === null || !("id" in value) || !("kind" in value)) return false;
  return value.kind === "piece" || ("display" in value && typeof value.display === "object" && value.display !== null);
};

/** Errors between rows, or between members of a row. */
function faultIn(rows: readonly Row[]): { at: number; member: string; words: string } | undefined {
  const ids = new Set<string>();
  const modeOf = new Map<string, Mode>();
  for (const [at, row] of rows.entries()) {
    // Invalid rows are reported by their own schema; this checks relations between rows.
    if (!isRow(row)) continue;
    if (ids.has(row.id)) return { at, member: "id", words: `“${row.id}” appears in the panel twice` };
    ids.add(row.id);
    if (row.kind !== "facet") continue;
    const unfit = bands.find((band) => {
      const name = row.display[band];
      // A value that is not a display at all is reported by another check.
      return name !== undefined && Object.hasOwn(displays, name) && !displays[name].modes.includes(row.mode);
    });
    const name = unfit && row.display[unfit];
    if (unfit && name) {
      const { label: display, modes: carried } = displays[name];
      return {
        at,
        member: `display.${unfit}`,
        words: `can’t have the mode “${row.mode}”; ${display.toLowerCase()} can have ${carried.join(", ")}`,
      };
    }
    const known = modeOf.get(row.field);
    if (known !== undefined && known !== row.mode)
      return { at, member: "mode", words: "differs from that of a different row with the same field" };
    modeOf.set(row.field, row.mode);
  }
  return undefined;
}
