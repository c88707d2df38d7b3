import { type Token, tokens } from "./tokens.ts";
import { referenceIn, type Shadow } from "./value.ts";

export const hex = /^#[0-9a-f]{6}(?:[0-9a-f]{2})?$/;
/** Families, each in quotes or as plain words; nothing that could end a declaration. */
export const families =
  /^(?:"[^"\\{};<>\n]{1,80}"|-?[A-Za-z][\w-]*(?: [\w-]+)*)(?:\s*,\s*(?:"[^"\\{};<>\n]{1,80}"|-?[A-Za-z][\w-]*(?: [\w-]+)*))*$/;
/** A picture of the shop itself; contains nothing that could end its CSS string. */
export const ownPicture = /^\/(?![/\\])[^"'()\\\s<>]*$/;

const isShadow = (value: unknown): value is Shadow =>
  typeof value === "object" &&
  value !== null &&
  Object.keys(value).length === 5 &&
  ["x", "y", "blur", "spread"].every((name) => isLength(Reflect.get(value, name))) &&
  Reflect.get(value, "blur") >= 0 &&
  isColour(Reflect.get(value, "colour"));
const isLength = (value: unknown): boolean =>
  typeof value === "number" && Number.isFinite(value) && Math.abs(value) <= 400;
const isColour = (value: unknown): boolean =>
  typeof value === "string" && (hex.test(value) || tokens.get(referenceIn(value) ?? "")?.type === "colour");

/** The error in a token's value, in words that follow its name; undefined if there is none. */
export function valueFault(token: Token, value: unknown): string | undefined {
  const reference = typeof value === "string" ? referenceIn(value) : undefined;
  if (reference !== undefined) {
    const followed = tokens.get(reference);
    if (!followed) return `follows “${reference}”, which doesn’t exist`;
    const same = followed.type === token.type && (token.choices === undefined || sameChoices(token, followed));
    return same ? undefined : `is a ${token.type} and can’t follow “${reference}”, which is a ${followed.type}`;
  }
  const { min = Number.NEGATIVE_INFINITY, max = Number.POSITIVE_INFINITY } = token;
  switch (token.type) {
    case "colour":
      return isColour(value) ? undefined : "must be a colour like #1d4a3b or #1d4a3b80";
    case "choice":
      return Object.hasOwn(token.choices ?? {}, String(value))
        ? undefined
        : `must be one of ${Object.keys(token.choices ?? {}).join(", ")}`;
    case "font":
      return typeof value === "string" && value.length <= 400 && families.test(value)
        ? undefined
        : "must be font families, separated by commas, each of plain words or in double quotes";
    case "picture":
      return value === "" || (typeof value === "string" && value.length <= 500 && ownPicture.test(value))
        ? undefined
        : "must be the address of a picture of the shop, beginning with /, or empty";
    case "shadow":
      return isShadow(value) ? undefined : "must be a shadow: x, y, blur and spread in px up to 400, and a colour";
    default:
      return typeof value === "number" && Number.isFinite(value) && value >= min && value <= max
        ? undefined
        : `must be a number from ${min} to ${max}`;
  }
}

const sameChoices = (a: Token, b: Token): boolean =>
  Object.keys(a.choices ?? {}).join() === Object.keys(b.choices ?? {}).join();
