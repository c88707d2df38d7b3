import type { ISchema } from "yup";
import { type JsonSchema, jsonSchemaOf } from "../../document/json-schema.ts";
import { tokenDefinitions } from "../../look/token-json.ts";
import { allKinds } from "../kinds.ts";
import { manifestSchema } from "./manifest-schema.ts";

/** The names of the schemas of a shop's files. */
export const schemaNames = (): string[] => allKinds().map(({ name }) => name);

/**
 * The JSON Schema (draft 2020-12) of a file in a shop's folder. It accepts everything that the tool accepts; the tool
 * also rejects what only code can check, such as markup that could run, or two rows with the same id.
 * @returns undefined for an unknown name
 */
export function folderSchema(name: string): JsonSchema | undefined {
  const one = allKinds().find((kind) => kind.name === name);
  if (!one) return undefined;
  const schema: ISchema<unknown> = one.inManifest ? manifestSchema() : one.schema;
  const body = jsonSchemaOf(schema) as { properties: Record<string, JsonSchema> };
  const usesTokens = JSON.stringify(body).includes("#/$defs/");
  return {
    $schema: "https://json-schema.org/draft/2020-12/schema",
    title: one.title,
    ...body,
    // A file may name its schema, which is not part of its content.
    properties: { $schema: { type: "string" }, ...body.properties },
    ...(usesTokens ? { $defs: tokenDefinitions() } : {}),
  };
}
