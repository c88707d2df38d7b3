import { type InferType, type ISchema, mixed, number, string } from "yup";
import { isPlain } from "../document/is-plain.ts";
import { said } from "../document/json-schema.ts";
import { exact, listOf, text } from "../document/schema.ts";
import { type Band, bands } from "../settings/band.ts";
import { checkCss, maxCssLength } from "./extra-css.ts";
import { lookFormat } from "./look-format.ts";
import { type LookValues, type Scheme, type TokenValues, tokenSettingOn } from "./resolve.ts";
import { tokens } from "./tokens.ts";
import { referenceIn, type TokenValue } from "./value.ts";
import { valueFault } from "./value-fault.ts";

/** The first invalid token value: its path below the values, and an explanation. */
function faultIn(values: unknown, banded: boolean): [path: string, words: string] | undefined {
  if (!isPlain(values)) return ["", "must be an object"];
  for (const [name, setting] of Object.entries(values)) {
    const token = tokens.get(name);
    if (!token) return [name, "is not a token"];
    if (!banded) {
      if (token.type !== "colour") return [name, "is not a colour, and only colours have a second value for dark"];
      const words = valueFault(token, setting);
      if (words) return [name, words];
      continue;
    }
    if (!isPlain(setting) || setting.wide === undefined) return [name, "must have a value for the wide band"];
    for (const [band, value] of Object.entries(setting)) {
      if (!(bands as readonly string[]).includes(band)) return [`${name}.${band}`, "is not a band"];
      const words = value === undefined ? undefined : valueFault(token, value);
      if (words) return [`${name}.${band}`, words];
    }
  }
  return undefined;
}

/** A schema for values of tokens, by band or not. */
const tokenRecord = <T extends object>(banded: boolean) =>
  mixed<T>()
    .test("tokens", (values, context) => {
      if (values === undefined) return true;
      const fault = faultIn(values, banded);
      if (!fault) return true;
      const path = [context.path, fault[0]].filter(Boolean).join(".");
      return context.createError({ path, message: `${path} ${fault[1]}` });
    })
    .required()
    .meta(said(() => ({ $ref: `#/$defs/${banded ? "tokens" : "dark"}` }))) as unknown as ISchema<T>;

/** Values of tokens, each for the wide band and for narrower ones that differ. */
export const tokenValues = tokenRecord<TokenValues>(true);
const darkValues = tokenRecord<Readonly<Record<string, TokenValue | undefined>>>(false);

/** A named style of one option, for any number of facets. */
const optionStyle = exact({
  id: string()
    .strict()
    .matches(/^[\w-]{1,40}$/, ({ path }) => `${path} must be 1 to 40 letters, digits, - or _`)
    .required(),
  name: string().strict().trim().min(1).max(100).required(),
  values: tokenValues,
});

/** The styling of panels and their surroundings. Tokens that are not set have their defaults. */
export const lookSchema = exact({
  format: number<typeof lookFormat>().strict().oneOf([lookFormat]).required(),
  name: string().strict().trim().min(1).max(100).required(),
  values: tokenValues,
  /** Colours for shoppers who prefer dark. */
  dark: darkValues,
  styles: listOf(optionStyle, 100).test("styles", (styles, context) => {
    // Invalid styles are reported by their own schema.
    const ids = ((styles ?? []) as readonly ({ id: string } | null | undefined)[]).map((style) => style?.id);
    const at = ids.findIndex((id, n) => id !== undefined && ids.indexOf(id) !== n);
    const path = `styles[${at}].id`;
    return at < 0 || context.createError({ path, message: `${path} “${ids[at]}” appears twice` });
  }),
  /** The designer's own CSS, applied last. */
  css: text(maxCssLength).test("css", (css, context) => {
    const fault = checkCss(css ?? "").find(({ error }) => error);
    const path = `${context.path}, line ${fault?.line}, column ${fault?.column}`;
    return !fault || context.createError({ message: `${path}: ${fault.reason}` });
  }),
}).test("loops", (look, context) => {
  // A value that is not a look at all is reported by another check.
  const loop = isPlain(look?.values) && isPlain(look.dark) ? loopIn(look as LookValues) : undefined;
  return (
    loop === undefined ||
    context.createError({
      path: `values.${loop}`,
      message: `values.${loop} follows itself, directly or through other tokens`,
    })
  );
});

/** A token that follows itself, directly or indirectly; undefined if there is none. */
export function loopIn(look: LookValues): string | undefined {
  const names = [...Object.keys(look.values), ...Object.keys(look.dark)];
  return names.find((name) =>
    bands.some((band) => (["light", "dark"] as const).some((scheme) => followsItself(look, name, band, scheme))),
  );
}

function followsItself(look: LookValues, name: string, band: Band, scheme: Scheme): boolean {
  const seen = new Set<string>();
  for (let at: string | undefined = name; at !== undefined; ) {
    if (seen.has(at)) return true;
    seen.add(at);
    const token = tokens.get(at);
    const value = token && tokenSettingOn(look, token, band, scheme);
    // A value of the wrong type is reported by another check.
    at = value === undefined ? undefined : referenceIn(value);
  }
  return false;
}

export type OptionStyle = InferType<typeof optionStyle>;
export type LookDocument = InferType<typeof lookSchema>;
