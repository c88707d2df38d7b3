import { parseArgs } from "node:util";
import { folderSchema, schemaNames } from "../core/shop/archive/schemas.ts";
import { type Command, didYouMean, onlyOne } from "./command.ts";
import { UsageError } from "./usage-error.ts";

/** The JSON Schema of a document. */
export const schema: Command = {
  name: "schema",
  about: `Prints the JSON Schema of ${schemaNames().join(", ")}.`,
  usage: "trellis schema NAME",
  options: [],
  example: "trellis schema panel > panel.schema.json",
  run(args) {
    const name = onlyOne(parseArgs({ args, allowPositionals: true, options: {} }).positionals, "schema", schema);
    const found = folderSchema(name);
    if (!found)
      throw new UsageError(
        `There is no schema “${name}”.${didYouMean(name, schemaNames())} Choose one of ${schemaNames().join(", ")}.`,
      );
    return { text: JSON.stringify(found, null, 1), status: 0 };
  },
};
