import { isTooDeep } from "../document/json-depth.ts";
import { limits } from "../sanitize/limits.ts";
import { columnsOf } from "./json-columns.ts";
import { readJsonLd } from "./json-ld.ts";
import { CatalogueError } from "./problem.ts";
import { type Table, tableOf } from "./table.ts";

/** Whether a file's text is JSON rather than delimited. */
export const looksLikeJson = (text: string): boolean => /^\ufeff?\s*[[{]/.test(text);

/**
 * Reads JSON: schema.org products (JSON-LD), a list of plain objects, or one plain object a line.
 * @throws CatalogueError naming the line or the place that is not JSON
 */
export function readJson(text: string): Table {
  const source = text.charCodeAt(0) === 0xfeff ? text.slice(1) : text;
  const value = parseWhole(source) ?? parseLines(source);
  const ld = readJsonLd(value);
  if (ld) return ld;
  const list = Array.isArray(value) ? value : [value];
  const objects = list.map((one, i) => {
    if (typeof one !== "object" || one === null || Array.isArray(one)) {
      throw new CatalogueError({
        row: i + 2,
        message: "This is not an object. Import a list of objects, one per variant, or schema.org products.",
      });
    }
    return one as Readonly<Record<string, unknown>>;
  });
  return tableOf(columnsOf(objects));
}

function parseWhole(source: string): unknown {
  if (isTooDeep(source))
    throw new CatalogueError({
      message: `Brackets are nested more than ${limits.jsonDepth.max} levels deep. Export the products as a plain list.`,
    });
  try {
    return JSON.parse(source);
  } catch (error) {
    // Several lines that are each a value are newline-delimited JSON; anything else is broken.
    const lines = source.trim().split("\n");
    if (lines.length > 1 && /^\s*\{.*\}\s*$/.test(lines[0] ?? "")) return undefined;
    throw new CatalogueError({
      message: `This is not valid JSON: ${(error as Error).message}. Export the file again.`,
    });
  }
}

function parseLines(source: string): unknown[] {
  return source.split("\n").flatMap((line, i) => {
    if (line.trim() === "") return [];
    try {
      return [JSON.parse(line) as unknown];
    } catch (error) {
      throw new CatalogueError({
        row: i + 1,
        message: `This line is not valid JSON: ${(error as Error).message}. Each line must be one whole object.`,
      });
    }
  });
}
