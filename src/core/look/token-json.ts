import type { JsonSchema } from "../document/json-schema.ts";
import { bands } from "../settings/band.ts";
import { type Token, tokens } from "./tokens.ts";
import { following, type TokenType } from "./value.ts";
import { families, hex, ownPicture } from "./value-fault.ts";

const place = (name: string): JsonSchema => ({ $ref: `#/$defs/${name}` });

/** The tokens of a type, as reference values. */
const followed = (type: TokenType): JsonSchema => ({
  enum: [...tokens.values()].filter((token) => token.type === type).map(({ name }) => following(name)),
});

const colour: JsonSchema = { anyOf: [{ type: "string", pattern: hex.source }, place("follows-colour")] };
const px = (least: number): JsonSchema => ({ type: "number", minimum: least, maximum: 400 });

/** The values of tokens, as shared `$defs` of a schema. */
export const tokenDefinitions = (): Record<string, JsonSchema> => ({
  colour,
  font: { anyOf: [{ type: "string", maxLength: 400, pattern: families.source }, place("follows-font")] },
  picture: {
    anyOf: [{ const: "" }, { type: "string", maxLength: 500, pattern: ownPicture.source }, place("follows-picture")],
  },
  shadow: {
    anyOf: [
      {
        type: "object",
        properties: { x: px(-400), y: px(-400), blur: px(0), spread: px(-400), colour: place("colour") },
        required: ["x", "y", "blur", "spread", "colour"],
        additionalProperties: false,
      },
      place("follows-shadow"),
    ],
  },
  tokens: record([...tokens.values()].map(({ name, ...token }) => [name, byBand(tokenJson(token))])),
  dark: record([...tokens.values()].filter(({ type }) => type === "colour").map(({ name }) => [name, place("colour")])),
  ...Object.fromEntries(plainTypes.map((type) => [`${type}-by-band`, bandedJson(place(type))])),
  ...Object.fromEntries(
    (["colour", "length", "number", "weight", "time", "font", "shadow", "picture"] as const).map((type) => [
      `follows-${type}`,
      followed(type),
    ]),
  ),
});

/** Types with the same values for all their tokens. */
const plainTypes: readonly TokenType[] = ["colour", "font", "picture", "shadow"];

const record = (members: readonly (readonly [string, JsonSchema])[]): JsonSchema => ({
  type: "object",
  properties: Object.fromEntries(members),
  additionalProperties: false,
});

const bandedJson = (value: JsonSchema): JsonSchema => ({
  ...(record(bands.map((band) => [band, value])) as object),
  required: ["wide"],
});

/** A value by band; for the plain types it is defined once. */
function byBand(value: JsonSchema): JsonSchema {
  const type = plainTypes.find((one) => JSON.stringify(value) === JSON.stringify(place(one)));
  return type ? place(`${type}-by-band`) : bandedJson(value);
}

/** The JSON Schema of a token's value. */
function tokenJson({ type, min, max, choices }: Pick<Token, "type" | "min" | "max" | "choices">): JsonSchema {
  if (plainTypes.includes(type)) return place(type);
  if (choices) {
    const names = Object.keys(choices);
    const alike = [...tokens.values()].filter((one) => one.choices && Object.keys(one.choices).join() === names.join());
    return { enum: [...names, ...alike.map(({ name }) => following(name))] };
  }
  const ends = { ...(min === undefined ? {} : { minimum: min }), ...(max === undefined ? {} : { maximum: max }) };
  return { anyOf: [{ type: "number", ...ends }, place(`follows-${type}`)] };
}
