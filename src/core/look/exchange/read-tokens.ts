import { converter, formatHex, formatHex8, parse as parseColour } from "culori";
import { findNodeAtLocation, getNodeValue, type Node } from "jsonc-parser";
import { isPlain } from "../../document/is-plain.ts";
import { JsonFault, type JsonText, parseJsonText } from "../../document/json-text.ts";
import { checkDocument } from "../../document/kind.ts";
import { InvalidDocument } from "../../document/schema.ts";
import type { Banded } from "../../settings/band.ts";
import { emptyLook } from "../empty-look.ts";
import { lookKind } from "../kind.ts";
import type { LookDocument } from "../look-schema.ts";
import { tokens } from "../tokens.ts";
import { following, type TokenType, type TokenValue } from "../value.ts";
import { extension, pathOf } from "./design-tokens.ts";

/** A file of tokens that cannot be read: what is wrong, and on which line. */
export class TokenFileFault extends Error {
  override name = "TokenFileFault";
  readonly line: number;
  constructor(message: string, line: number) {
    super(`Line ${line}: ${message}`);
    this.line = line;
  }
}

function jsonOf(text: string): JsonText {
  try {
    return parseJsonText(text);
  } catch (error) {
    throw error instanceof JsonFault ? new TokenFileFault(error.message, error.line) : error;
  }
}

/** Maximum number of characters and tokens. */
export const maxTokenFile = 5_000_000;
const maxTokens = 20_000;

/** A token of another tool's file, resolved. */
export interface ForeignToken {
  /** Its groups and its name, joined by dots. */
  path: string;
  type: string;
  /** Its value in our notation; undefined if no type of ours fits. */
  value: TokenValue | undefined;
  /** Our corresponding type. */
  ours: TokenType | undefined;
  /** The token that it refers to, if it has no value of its own. */
  reference: string | undefined;
  line: number;
}

interface Raw {
  path: string[];
  type: string | undefined;
  value: unknown;
  more: Record<string, unknown>;
  line: number;
}

/** The JSON of a file with the lines of its members. @throws TokenFileFault */
function open(text: string): { root: Node; lineOf(node: Node | undefined): number } {
  if (text.length > maxTokenFile)
    throw new TokenFileFault(`The file has ${text.length} characters; the limit is ${maxTokenFile}.`, 1);
  const { root, lineAt } = jsonOf(text);
  if (root.type !== "object") throw new TokenFileFault("A token file must be one JSON object.", 1);
  return { root, lineOf: (node) => lineAt(node?.offset ?? 0) };
}

function* tokensIn(root: Node, lineOf: (node: Node) => number): Generator<Raw> {
  // Iterative, so that deep files don't overflow the stack.
  const waiting: { node: Node; path: string[]; type: string | undefined }[] = [
    { node: root, path: [], type: undefined },
  ];
  for (let at = waiting.pop(); at; at = waiting.pop()) {
    const { node, path } = at;
    const members = new Map(
      (node.children ?? []).map(({ children = [] }) => [children[0]?.value as string, children[1]]),
    );
    const named = members.get("$type")?.value;
    const type = typeof named === "string" ? named : at.type;
    const value = members.get("$value");
    if (value) {
      const more = members.get("$extensions");
      const kept: unknown = more ? getNodeValue(more) : undefined;
      const own = isPlain(kept) ? kept[extension] : undefined;
      yield { path, type, value: getNodeValue(value), more: isPlain(own) ? own : {}, line: lineOf(node) };
      continue;
    }
    for (const [name, child] of [...members].reverse())
      if (child?.type === "object" && (name === "$root" || !name.startsWith("$")))
        waiting.push({ node: child, path: [...path, name], type });
  }
}

/** All tokens of a file, whoever wrote it. @throws TokenFileFault */
function rawTokens(text: string): { raw: Raw[]; root: Node; lineOf(node: Node | undefined): number } {
  const { root, lineOf } = open(text);
  const raw: Raw[] = [];
  for (const token of tokensIn(root, lineOf)) {
    raw.push(token);
    if (raw.length > maxTokens) throw new TokenFileFault(`There are more than ${maxTokens} tokens.`, token.line);
  }
  return { raw, root, lineOf };
}

const rgb = converter("rgb");
const reference = /^\{([^{}]+)\}$/;

/** Root font size by which `rem` becomes px. Source: the initial value of font-size, medium, is 16 px in browsers. */
const rem = 16;

function readColourValue(value: unknown): string | undefined {
  const parsed =
    typeof value === "string"
      ? parseColour(value)
      : isPlain(value) && Array.isArray(value.components)
        ? (parseColour(
            `color(${String(value.colorSpace) === "srgb" ? "srgb" : String(value.colorSpace)} ${value.components.join(" ")})`,
          ) ?? (typeof value.hex === "string" ? parseColour(value.hex) : undefined))
        : undefined;
  const colour = parsed && rgb(parsed);
  if (!colour) return undefined;
  const alpha = isPlain(value) && typeof value.alpha === "number" ? value.alpha : (colour.alpha ?? 1);
  return alpha >= 1 ? formatHex(colour) : formatHex8({ ...colour, alpha });
}

function readAmount(value: unknown, units: Readonly<Record<string, number>>): number | undefined {
  const text = typeof value === "string" ? /^(-?[\d.]+)\s*([a-z%]+)$/i.exec(value.trim()) : undefined;
  const [amount, unit] = isPlain(value) ? [value.value, value.unit] : [text ? Number(text[1]) : undefined, text?.[2]];
  const factor = typeof unit === "string" && Object.hasOwn(units, unit) ? units[unit] : undefined;
  return typeof amount === "number" && Number.isFinite(amount) && factor !== undefined
    ? Number((amount * factor).toFixed(4))
    : undefined;
}

const weights: Readonly<Record<string, number>> = {
  thin: 100,
  hairline: 100,
  "extra-light": 200,
  light: 300,
  normal: 400,
  regular: 400,
  book: 400,
  medium: 500,
  "semi-bold": 600,
  "demi-bold": 600,
  bold: 700,
  "extra-bold": 800,
  "ultra-bold": 800,
  black: 900,
  heavy: 900,
};

/** A token's value in our notation. @returns undefined for an unsupported type or an invalid value */
function readValue(type: string | undefined, value: unknown): { type: TokenType; value: TokenValue } | undefined {
  const as = (ours: TokenType, read: TokenValue | undefined) =>
    read === undefined ? undefined : { type: ours, value: read };
  switch (type) {
    case "color":
      return as("colour", readColourValue(value));
    case "dimension":
      return as("length", readAmount(value, { px: 1, rem }));
    case "duration":
      return as("time", readAmount(value, { ms: 1, s: 1000 }));
    case "number":
      return as("number", typeof value === "number" ? value : undefined);
    case "fontWeight":
      return as("weight", typeof value === "number" ? value : weights[String(value).toLowerCase()]);
    case "fontFamily": {
      const families = (Array.isArray(value) ? value : [value]).filter((one) => typeof one === "string");
      const quoted = families.map((family) => (/^[A-Za-z][\w-]*$/.test(family) ? family : `"${family}"`));
      return as("font", quoted.length > 0 ? quoted.join(", ") : undefined);
    }
    case "shadow": {
      const one = Array.isArray(value) ? value[0] : value;
      if (!isPlain(one)) return undefined;
      const length = (name: string) => readAmount(one[name], { px: 1, rem });
      const [x, y, blur, spread] = ["offsetX", "offsetY", "blur", "spread"].map(length);
      const colour =
        typeof one.color === "string" && reference.test(one.color) ? one.color : readColourValue(one.color);
      if (x === undefined || y === undefined || blur === undefined || colour === undefined) return undefined;
      return as("shadow", { x, y, blur, spread: spread ?? 0, colour });
    }
    default:
      return undefined;
  }
}

/** All tokens of another tool's file, with references resolved. @throws TokenFileFault */
export function readForeign(text: string): ForeignToken[] {
  const { raw } = rawTokens(text);
  const byPath = new Map(raw.map((token) => [token.path.join("."), token]));
  return raw.map((token) => {
    const seen = new Set<Raw>();
    let at = token;
    for (;;) {
      if (seen.has(at))
        throw new TokenFileFault(
          `“${token.path.join(".")}” refers to itself, directly or through other tokens.`,
          token.line,
        );
      seen.add(at);
      const name = typeof at.value === "string" ? reference.exec(at.value)?.[1] : undefined;
      if (name === undefined) break;
      const next = byPath.get(name) ?? byPath.get(`${name}.$root`);
      if (!next) throw new TokenFileFault(`“${at.path.join(".")}” refers to “${name}”, which doesn’t exist.`, at.line);
      at = next;
    }
    const type = token.type ?? at.type;
    const read = readValue(type, at.value);
    return {
      path: token.path.join("."),
      type: type ?? "",
      value: read?.value,
      ours: read?.type,
      reference: at === token ? undefined : at.path.join("."),
      line: token.line,
    };
  });
}

/** Whether a file was written by this tool. @throws TokenFileFault */
export function isOwnTokenFile(text: string): boolean {
  const { root } = open(text);
  return findNodeAtLocation(root, ["$extensions", extension]) !== undefined;
}

/** The look in a file written by this tool. @throws TokenFileFault */
export function fromDesignTokens(text: string): LookDocument {
  const { raw, root, lineOf } = rawTokens(text);
  const kept: unknown = getNodeValue(findNodeAtLocation(root, ["$extensions", extension]) ?? ({} as Node));
  const own: Record<string, unknown> = isPlain(kept) ? kept : {};
  const byPath = new Map([...tokens.values()].map((token) => [pathOf(token).join("."), token]));
  const values: Record<string, Banded<TokenValue>> = {};
  const dark: Record<string, TokenValue> = {};
  for (const { path, type, value, more, line } of raw) {
    const token = byPath.get(path.join("."));
    if (!token) throw new TokenFileFault(`A look has no token “${path.join(".")}”.`, line);
    const take = (given: unknown): TokenValue => {
      const name = typeof given === "string" ? reference.exec(given)?.[1] : undefined;
      if (name !== undefined) {
        const followed = byPath.get(name);
        if (!followed)
          throw new TokenFileFault(`“${path.join(".")}” refers to “${name}”, which a look doesn’t have.`, line);
        return following(followed.name);
      }
      const read = readValue(type, given);
      if (!read || read.type !== token.type)
        throw new TokenFileFault(`“${path.join(".")}” is not a valid ${token.type}: ${JSON.stringify(given)}.`, line);
      const { value: ours } = read;
      const shadowed = typeof ours === "object" ? reference.exec(ours.colour)?.[1] : undefined;
      const colour = shadowed === undefined ? undefined : byPath.get(shadowed);
      return typeof ours === "object" && colour ? { ...ours, colour: following(colour.name) } : ours;
    };
    if (more.usual !== true)
      values[token.name] = {
        wide: take(value),
        ...(more.medium === undefined ? {} : { medium: take(more.medium) }),
        ...(more.slim === undefined ? {} : { slim: take(more.slim) }),
      };
    if (more.dark !== undefined) dark[token.name] = take(more.dark);
  }
  const look = {
    ...emptyLook("Look"),
    ...Object.fromEntries(Object.entries(own).filter(([name]) => ["name", "styles", "css"].includes(name))),
    values: { ...values, ...(isPlain(own.values) ? settable(own.values) : {}) },
    dark,
  };
  try {
    return checkDocument(lookKind, look);
  } catch (error) {
    if (!(error instanceof InvalidDocument)) throw error;
    throw new TokenFileFault(error.message, lineOf(findNodeAtLocation(root, ["$extensions"])));
  }
}

const settable = (values: Record<string, unknown>) => values as LookDocument["values"];
