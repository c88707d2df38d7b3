import { parseArgs } from "node:util";
import { visit } from "../core/api/visit.ts";
import { type JsonSchema, jsonSchemaOf } from "../core/document/json-schema.ts";
import { folderSchema, schemaNames } from "../core/shop/archive/schemas.ts";
import { type Command, didYouMean, onlyOne } from "./command.ts";
import { UsageError } from "./usage-error.ts";

/** The JSON Schema of a line of visits. A line is not one of a shop's documents. */
const visitSchema = (): JsonSchema => ({
  $schema: "https://json-schema.org/draft/2020-12/schema",
  title: "One act of a visit, as a line of JSON",
  allOf: [jsonSchemaOf(visit)],
});
const names = [...schemaNames(), "visit"];

/** The JSON Schema of a document, or of a line of visits. */
export const schema: Command = {
  name: "schema",
  about: `Prints the JSON Schema of ${names.join(", ")}.`,
  usage: "trellis schema NAME",
  options: [],
  example: "trellis schema panel > panel.schema.json",
  run(args) {
    const name = onlyOne(parseArgs({ args, allowPositionals: true, options: {} }).positionals, "schema", schema);
    const found = name === "visit" ? visitSchema() : folderSchema(name);
    if (!found)
      throw new UsageError(
        `There is no schema “${name}”.${didYouMean(name, names)} Choose one of ${names.join(", ")}.`,
      );
    return { text: JSON.stringify(found, null, 1), status: 0 };
  },
};
