import { type InferType, type ISchema, mixed, number, string } from "yup";
import { bands } from "../band/band.ts";
import { exact, listOf, text } from "../document/schema.ts";
import { type LookValues, type TokenValues, valueOn } from "./resolve.ts";
import { type Token, tokens } from "./tokens.ts";
import { referenceIn, type Shadow, type TokenValue } from "./value.ts";

/** Version of the format of looks that this code writes. */
export const lookFormat = 1;

const hex = /^#[0-9a-f]{6}(?:[0-9a-f]{2})?$/;
/** Families, each in quotes or as plain words; nothing that could end a declaration. */
const families =
  /^(?:"[^"\\{};<>\n]{1,80}"|[A-Za-z][\w-]*(?: [\w-]+)*)(?:\s*,\s*(?:"[^"\\{};<>\n]{1,80}"|[A-Za-z][\w-]*(?: [\w-]+)*))*$/;
/** A picture of the shop's own; nothing that could end the text in which its address stands. */
const ownPicture = /^\/(?![/\\])[^"'()\\\s<>]*$/;

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

/** What is wrong with the value of a token, in words that follow its name; undefined when nothing is. */
export function valueFault(token: Token, value: unknown): string | undefined {
  const reference = typeof value === "string" ? referenceIn(value) : undefined;
  if (reference !== undefined) {
    const followed = tokens.get(reference);
    if (!followed) return `follows “${reference}”, which there is not`;
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
        : "must be font families, parted by commas, each of plain words or in double quotes";
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

const isPlain = (value: unknown): value is Record<string, unknown> =>
  typeof value === "object" && value !== null && !Array.isArray(value);

/** What is wrong with values of tokens: a path below them, and words. */
function faultIn(values: unknown, banded: boolean): [path: string, words: string] | undefined {
  if (!isPlain(values)) return ["", "must be an object"];
  for (const [name, setting] of Object.entries(values)) {
    const token = tokens.get(name);
    if (!token) return [name, "is no token"];
    if (!banded) {
      if (token.type !== "colour") return [name, "is no colour, and only colours have a second value for dark"];
      const words = valueFault(token, setting);
      if (words) return [name, words];
      continue;
    }
    if (!isPlain(setting) || setting.wide === undefined) return [name, "must have a value for the wide band"];
    for (const [band, value] of Object.entries(setting)) {
      if (!(bands as readonly string[]).includes(band)) return [`${name}.${band}`, "is no band"];
      const words = value === undefined ? undefined : valueFault(token, value);
      if (words) return [`${name}.${band}`, words];
    }
  }
  return undefined;
}

/** A schema for values of tokens, that differ by band or not. */
const tokenRecord = <T extends object>(banded: boolean) =>
  mixed<T>()
    .test("tokens", (values, context) => {
      if (values === undefined) return true;
      const fault = faultIn(values, banded);
      if (!fault) return true;
      const path = [context.path, fault[0]].filter(Boolean).join(".");
      return context.createError({ path, message: `${path} ${fault[1]}` });
    })
    .required() as ISchema<T>;

/** Values of tokens, each for the wide band and for those narrower ones that differ. */
export const tokenValues = tokenRecord<TokenValues>(true);
const darkValues = tokenRecord<Readonly<Record<string, TokenValue | undefined>>>(false);

/** A named design of one option, used by any number of facets. */
const optionStyle = exact({
  id: string()
    .strict()
    .matches(/^[\w-]{1,40}$/, ({ path }) => `${path} must be 1 to 40 letters, digits, - or _`)
    .required(),
  name: string().strict().trim().min(1).max(100).required(),
  values: tokenValues,
});

/** The styling of panels and of what stands around them. What is not set is as it is by itself. */
export const lookSchema = exact({
  format: number<typeof lookFormat>().strict().oneOf([lookFormat]).required(),
  name: string().strict().trim().min(1).max(100).required(),
  values: tokenValues,
  /** Colours for shoppers who prefer dark. */
  dark: darkValues,
  styles: listOf(optionStyle, 100).test("styles", (styles, context) => {
    const ids = styles?.map(({ id }) => id) ?? [];
    const at = ids.findIndex((id, n) => ids.indexOf(id) !== n);
    const path = `styles[${at}].id`;
    return at < 0 || context.createError({ path, message: `${path} “${ids[at]}” is there twice` });
  }),
  /** The designer's own, applied last. */
  css: text(100_000),
}).test("loops", (look, context) => {
  const loop = loopIn(look as LookValues);
  return (
    loop === undefined ||
    context.createError({ path: `values.${loop}`, message: `values.${loop} follows itself, over one or more steps` })
  );
});

/** A token that follows itself; undefined when none does. */
export function loopIn(look: LookValues): string | undefined {
  const names = [...Object.keys(look.values), ...Object.keys(look.dark)];
  return names.find((name) =>
    bands.some((band) =>
      (["light", "dark"] as const).some((scheme) => valueOn(look, name, band, scheme) === undefined),
    ),
  );
}

export type OptionStyle = InferType<typeof optionStyle>;
export type LookDocument = InferType<typeof lookSchema>;
