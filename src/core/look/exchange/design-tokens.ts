import { type Band, type Banded, bands } from "../../settings/band.ts";
import type { LookDocument } from "../look-schema.ts";
import { tokenSettingOf } from "../resolve.ts";
import { lowercaseLabel, parts, statesOf, type Token, tokens } from "../tokens.ts";
import { referenceIn, type TokenType, type TokenValue } from "../value.ts";

/**
 * A look as design tokens. Source: Design Tokens Format Module 2025.10 of the Design Tokens Community Group: types,
 * groups, `$root`, references in braces, `$extensions` for what the format has no place for.
 */

/** The name under which a file stores data specific to this tool. */
export const extension = "zany-trellis";

/** The parts of a look stored beside its tokens. */
export interface LookExtension {
  name: string;
  styles: LookDocument["styles"];
  css: string;
  /** Values of tokens that the format has no type for: choices and pictures. */
  values: LookDocument["values"];
}

const typeNames: Partial<Record<TokenType, string>> = {
  colour: "color",
  length: "dimension",
  time: "duration",
  font: "fontFamily",
  weight: "fontWeight",
  number: "number",
  shadow: "shadow",
};

export type Json = string | number | boolean | null | Json[] | { [name: string]: Json };
type Group = { [name: string]: Json };

/** Path of a token in the file: a property that differs by state, or has others below it, is a group with a `$root`. */
export function pathOf({ part, property, state }: Pick<Token, "part" | "property" | "state">): string[] {
  const definition = parts[part];
  const own = definition?.properties[property];
  if (property === "") return [part, "$root"];
  if (!definition || !own) return [part, property];
  return statesOf(definition, own).length > 1 ? [part, property, state === "rest" ? "$root" : state] : [part, property];
}

const referenceTo = (name: string): string => {
  const token = tokens.get(name);
  return `{${(token ? pathOf(token) : [name]).join(".")}}`;
};

const bytes = (hex: string): number[] =>
  [1, 3, 5, 7].flatMap((at) => (at < hex.length ? [Number.parseInt(hex.slice(at, at + 2), 16)] : []));
const share = (byte: number): number => Number((byte / 255).toFixed(4));

function writtenColour(hex: string): Json {
  const [r = 0, g = 0, b = 0, a] = bytes(hex);
  return {
    colorSpace: "srgb",
    components: [share(r), share(g), share(b)],
    ...(a === undefined ? {} : { alpha: share(a) }),
    hex: hex.slice(0, 7),
  };
}

function writtenValue(type: TokenType, value: TokenValue): Json {
  const reference = referenceIn(value);
  if (reference !== undefined) return referenceTo(reference);
  if (typeof value === "object") {
    const length = (px: number) => ({ value: px, unit: "px" });
    const { x, y, blur, spread, colour } = value;
    return {
      color: writtenValue("colour", colour),
      offsetX: length(x),
      offsetY: length(y),
      blur: length(blur),
      spread: length(spread),
    };
  }
  switch (type) {
    case "colour":
      return writtenColour(String(value));
    case "length":
      return { value: Number(value), unit: "px" };
    case "time":
      return { value: Number(value), unit: "ms" };
    case "font":
      return String(value)
        .split(",")
        .map((family) => family.trim().replace(/^"(.*)"$/, "$1"));
    default:
      return value;
  }
}

/** A look as a file of design tokens: the values it sets, and those they refer to. */
export function toDesignTokens(look: LookDocument): Group {
  const file: Group = {};
  const plain: Record<string, Banded<TokenValue>> = {};
  const names = new Set([...Object.keys(look.values), ...Object.keys(look.dark)]);
  // A token's references must be in the file too; the set grows during iteration.
  for (const name of names) {
    const token = tokens.get(name);
    if (!token) continue;
    const setting = tokenSettingOf(look, token);
    for (const value of [...Object.values(setting), look.dark[name]])
      for (const one of typeof value === "object" ? [value.colour] : [value]) {
        const reference = one === undefined ? undefined : referenceIn(one);
        if (reference !== undefined) names.add(reference);
      }
    const type = typeNames[token.type];
    if (type === undefined) {
      plain[name] = setting;
      continue;
    }
    put(file, pathOf(token), {
      $type: type,
      $value: writtenValue(token.type, setting.wide),
      $description: `${parts[token.part]?.label}: ${lowercaseLabel(token.label)}`,
      ...own(look, token, setting),
    });
  }
  const kept: LookExtension = { name: look.name, styles: look.styles, css: look.css, values: plain };
  file.$extensions = { [extension]: kept as unknown as Json };
  return file;
}

/** Data specific to this tool: narrower bands, dark mode, and whether the look sets the token. */
function own(look: LookDocument, token: Token, setting: Banded<TokenValue>): { $extensions?: Json } {
  const more: Group = {};
  for (const band of bands.slice(1) as Exclude<Band, "wide">[]) {
    const value = setting[band];
    if (value !== undefined) more[band] = writtenValue(token.type, value);
  }
  const dark = look.dark[token.name];
  if (dark !== undefined) more.dark = writtenValue(token.type, dark);
  if (!Object.hasOwn(look.values, token.name)) more.usual = true;
  return Object.keys(more).length === 0 ? {} : { $extensions: { [extension]: more } };
}

function put(file: Group, path: readonly string[], token: Json): void {
  let group = file;
  for (const name of path.slice(0, -1)) {
    const next = group[name];
    if (typeof next === "object" && next !== null && !Array.isArray(next)) group = next;
    else {
      const made: Group = {};
      group[name] = made;
      group = made;
    }
  }
  group[path.at(-1) ?? ""] = token;
}
