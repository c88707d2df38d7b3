import type { ISchema, Schema } from "yup";

/** A JSON Schema of draft 2020-12. */
export type JsonSchema = { readonly [keyword: string]: unknown } | boolean;

/** The JSON Schema of a schema that depends on the value: any of several. */
export interface DescribedSchema {
  /** It may be absent. */
  optional?: boolean;
  json(of: (schema: ISchema<unknown>) => JsonSchema): JsonSchema;
}

/** Metadata that states a schema's own JSON Schema. */
export const said = (json: DescribedSchema["json"], { optional = false } = {}): { said: DescribedSchema } => ({
  said: { json, optional },
});

declare module "yup" {
  interface CustomSchemaMetadata {
    said?: DescribedSchema;
  }
}

interface Described {
  type: string;
  optional?: boolean;
  nullable?: boolean;
  oneOf?: readonly unknown[];
  meta?: { said?: DescribedSchema };
  tests?: readonly { name?: string | undefined; params?: Readonly<Record<string, unknown>> | undefined }[];
}

const described = (schema: ISchema<unknown>): Described => schema.describe() as unknown as Described;

/** Whether a member may be absent. */
const mayBeAbsent = (schema: ISchema<unknown>): boolean => {
  const { type, optional, meta } = described(schema);
  return type === "lazy" ? (meta?.said?.optional ?? false) : (optional ?? false);
};

const asNumber = (value: unknown): number | undefined => (typeof value === "number" ? value : undefined);

/** The tests of a text or number as keywords. Rules that only code can check are left out. */
function keywordsOf({ type, tests = [] }: Described): Record<string, unknown> {
  const found: Record<string, unknown> = {};
  const patterns: string[] = [];
  for (const { name, params } of tests) {
    const [min, max] = [asNumber(params?.min), asNumber(params?.max)];
    const ends = {
      string: ["minLength", "maxLength"],
      array: ["minItems", "maxItems"],
      number: ["minimum", "maximum"],
    }[type];
    if (name === "min" && ends?.[0] && min !== undefined) found[ends[0]] = min;
    if (name === "max" && ends?.[1] && max !== undefined) found[ends[1]] = max;
    if (name === "matches" && params?.regex instanceof RegExp) patterns.push(params.regex.source);
    if (name === "trim") patterns.push("^(?!\\s)[\\s\\S]*(?<!\\s)$");
    if (name === "integer") found.type = "integer";
  }
  if (patterns.length === 1) found.pattern = patterns[0];
  else if (patterns.length > 1) found.allOf = patterns.map((pattern) => ({ pattern }));
  return found;
}

/** The JSON Schema equivalent to a schema, except for rules that only code can check. */
export function jsonSchemaOf(schema: ISchema<unknown>): JsonSchema {
  const about = described(schema);
  const own = about.meta?.said;
  if (own) return own.json(jsonSchemaOf);
  const plain = bare(schema, about);
  return about.nullable && typeof plain === "object" ? { anyOf: [plain, { type: "null" }] } : plain;
}

function bare(schema: ISchema<unknown>, about: Described): JsonSchema {
  const inside = schema as unknown as Schema & {
    fields?: Record<string, ISchema<unknown>>;
    innerType?: ISchema<unknown>;
  };
  const values = about.oneOf?.filter((value) => value !== null) ?? [];
  const chosen = values.length > 0 ? { enum: values } : {};
  switch (about.type) {
    case "object": {
      const members = Object.entries(inside.fields ?? {});
      return {
        type: "object",
        properties: Object.fromEntries(members.map(([name, member]) => [name, jsonSchemaOf(member)])),
        required: members.filter(([, member]) => !mayBeAbsent(member)).map(([name]) => name),
        additionalProperties: false,
      };
    }
    case "array":
      return {
        type: "array",
        ...(inside.innerType ? { items: jsonSchemaOf(inside.innerType) } : {}),
        ...keywordsOf(about),
      };
    case "string": {
      const keywords = keywordsOf(about);
      // A required text must not be empty, unless the schema only requires it to be defined.
      const empty = (about.tests ?? []).every(({ name }) => name !== "required");
      return { type: "string", ...(empty || keywords.minLength ? {} : { minLength: 1 }), ...keywords, ...chosen };
    }
    case "number":
      return { type: "number", ...keywordsOf(about), ...chosen };
    case "boolean":
      return { type: "boolean" };
    default:
      return values.length > 0 ? chosen : {};
  }
}
