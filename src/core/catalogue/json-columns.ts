import { joinValues } from "./table.ts";

type Json = Readonly<Record<string, unknown>>;

/** Maximum number of columns that a nested object becomes; a larger one is kept as its JSON. */
const maxColumns = 12;
/** Share of all keys that an object must have on average to be a record of columns; below it, its keys are values. */
const minShared = 0.5;
/** Keys of the text that names an object, best first. Common practice, no source. */
const namingKeys = ["name", "title", "label", "common", "value", "official"];

const isObject = (value: unknown): value is Json =>
  typeof value === "object" && value !== null && !Array.isArray(value);

/**
 * The cells of plain objects by column. An object within an object becomes columns of its own (`name.common`) when most
 * objects share its keys; one with keys of its own, such as languages by code, becomes the list of its values.
 */
export function columnsOf(objects: readonly Json[]): Map<string, string>[] {
  const rows = objects.map(() => new Map<string, string>());
  spread(objects, "", rows);
  return rows;
}

/** Adds the cells of the objects at a path to their rows. */
function spread(objects: readonly (Json | undefined)[], path: string, rows: readonly Map<string, string>[]): void {
  for (const key of keysOf(objects)) {
    const values = objects.map((one) => (one && Object.hasOwn(one, key) ? one[key] : undefined));
    const name = path + key.trim();
    const inner = values.map((value) => (isObject(value) ? value : undefined));
    const isNested =
      inner.some((value) => value !== undefined) && values.every((value) => isEmpty(value) || isObject(value));
    const shape = isNested ? shapeOf(inner) : "plain";
    if (shape === "record") spread(inner, `${name}.`, rows);
    else
      values.forEach((value, at) => {
        const cell =
          shape === "map" && isObject(value)
            ? joinValues(Object.values(value).map(textOf).filter(Boolean))
            : cellOf(value);
        if (value !== undefined) rows[at]?.set(name, cell);
      });
  }
}

/** Whether a value says nothing; some programs write an empty object as an empty list. */
const isEmpty = (value: unknown): boolean =>
  value === null || value === undefined || (Array.isArray(value) && value.length === 0);

const keysOf = (objects: readonly (Json | undefined)[]): string[] => [
  ...new Set(objects.flatMap((one) => (one ? Object.keys(one) : []))),
];

/** Whether objects are records of the same columns, maps with keys of their own, or too large for either. */
function shapeOf(objects: readonly (Json | undefined)[]): "record" | "map" | "plain" {
  const stated = objects.filter((one) => one !== undefined);
  const keys = keysOf(stated);
  const used = stated.reduce((sum, one) => sum + Object.keys(one).length, 0);
  if (used <= keys.length * stated.length * minShared) return "map";
  return leaves(stated) <= maxColumns ? "record" : "plain";
}

/** Number of columns that objects would become. */
function leaves(objects: readonly Json[]): number {
  return keysOf(objects).reduce((sum, key) => {
    const inner = objects.map((one) => one[key]).filter(isObject);
    return sum + (inner.length > 0 && shapeOf(inner) === "record" ? leaves(inner) : 1);
  }, 0);
}

/** The text that names a value. */
function textOf(value: unknown): string {
  if (!isObject(value)) return cellOf(value);
  const key = namingKeys.find((one) => typeof value[one] === "string");
  const text = key === undefined ? Object.values(value).find((one) => typeof one === "string") : value[key];
  return typeof text === "string" ? text : "";
}

function cellOf(value: unknown): string {
  if (value === null || value === undefined) return "";
  if (Array.isArray(value)) return joinValues(value.map(textOf).filter((text) => text !== ""));
  if (typeof value === "object") return JSON.stringify(value);
  return String(value);
}
