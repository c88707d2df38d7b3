import * as csstree from "css-tree";
import { checkDocument } from "../../document/kind.ts";
import { InvalidDocument } from "../../document/schema.ts";
import type { Band, Banded, BandLimits } from "../../settings/band.ts";
import { bandQueries, resolveBands, resolveScheme } from "../../settings/media.ts";
import { hexOf } from "../colour.ts";
import { emptyLook } from "../empty-look.ts";
import { lookKind } from "../kind.ts";
import type { LookDocument } from "../look-schema.ts";
import { ownSheet, propertyOf, valueEndings, written } from "../sheet.ts";
import { type Token, tokens } from "../tokens.ts";
import { following, type TokenValue } from "../value.ts";

/** A look's values as CSS custom properties of the page, with a shop's bands. */
export const toProperties = (look: LookDocument, limits: BandLimits): string =>
  `/* ${look.name.replaceAll("*/", "")} */\n${resolveScheme(resolveBands(ownSheet(look, ":root"), bandQueries(limits)), "shopper")}`;

/** A style sheet of custom properties that cannot be read. */
export class PropertyFault extends Error {
  override name = "PropertyFault";
  constructor(message: string, line: number) {
    super(`Line ${line}: ${message}`);
  }
}

const byProperty = new Map([...tokens.values()].map((token) => [propertyOf(token.name), token]));
/** Properties written in addition to a token's own, since its value has several; each with its suffix. */
const beside = new Map(
  [...tokens.values()].flatMap((token) =>
    valueEndings(token)
      .filter((end) => end !== "")
      .map((end): [string, { token: Token; end: string }] => [propertyOf(token.name) + end, { token, end }]),
  ),
);

/** Where a rule applies: on a band, in dark mode, or somewhere that a look cannot express. */
function placeOf(media: string | undefined): Band | "dark" | undefined {
  if (media === undefined) return "wide";
  if (/prefers-color-scheme:\s*dark/.test(media)) return "dark";
  const [from, to] = [/min-width|width\s*>=?/.test(media), /max-width|width\s*<=?/.test(media)];
  if (from && to) return "medium";
  return to ? "slim" : from ? "wide" : undefined;
}

/** A token's values by band. Media queries apply to one band only, whereas a look's bands follow the wider one. */
function asBanded({ wide, medium, slim }: { [B in Band]?: TokenValue }, token: Token | undefined): Banded<TokenValue> {
  const usual = wide ?? token?.fallback.wide ?? "";
  const narrow = slim ?? (medium === undefined ? undefined : usual);
  return {
    wide: usual,
    ...(medium === undefined ? {} : { medium }),
    ...(narrow === undefined ? {} : { slim: narrow }),
  };
}

/** The token that a value follows. */
const referenceOf = (text: string): Token | undefined => byProperty.get(/^var\((--[\w-]+)\)$/.exec(text)?.[1] ?? "");

/** A property's value converted to a token's. @returns undefined if it doesn't fit */
function readValue(token: Token, text: string): TokenValue | undefined {
  switch (token.type) {
    case "colour":
      return hexOf(text);
    case "choice":
      return undefined;
    case "length":
    case "time":
    case "number":
    case "weight": {
      const match = /^(-?[\d.]+)(px|ms|)$/.exec(text);
      const unit = { length: "px", time: "ms", number: "", weight: "" }[token.type];
      return match && (match[2] === unit || match[1] === "0") ? Number(match[1]) : undefined;
    }
    case "font":
      return text;
    case "picture":
      return text === "none" ? "" : /^url\("?([^")]*)"?\)$/.exec(text)?.[1];
    case "shadow":
      return readShadow(text);
  }
}

/** The choices of a token that write a text under one of its suffixes. */
const choicesOf = (token: Token, end: string, text: string): string[] =>
  Object.keys(token.choices ?? {}).filter(
    (name) => written(token, name)[end]?.replace(/\s/g, "") === text.replace(/\s/g, ""),
  );

function readShadow(text: string): TokenValue | undefined {
  const match = /^(-?[\d.]+)px (-?[\d.]+)px ([\d.]+)px (-?[\d.]+)px (.+)$/.exec(text);
  if (!match) return undefined;
  const [x = 0, y = 0, blur = 0, spread = 0] = match.slice(1, 5).map(Number);
  const reference = referenceOf(match[5] ?? "");
  return { x, y, blur, spread, colour: reference ? following(reference.name) : (match[5] ?? "") };
}

/**
 * The look described by custom properties with this tool's names. Other rules and names are skipped.
 * @throws PropertyFault
 */
export function fromProperties(css: string, name: string): LookDocument {
  const said = new Map<string, { [B in Band]?: TokenValue }>();
  const dark: Record<string, TokenValue> = {};
  const left = new Map<string, string[]>();
  /**
   * Two choices may write the same under one suffix and differ under another: keeps those consistent with all values
   * so far.
   */
  const choice = (token: Token, place: string, end: string, text: string): string | undefined => {
    const key = `${token.name} ${place}`;
    const fits = choicesOf(token, end, text);
    const both = (left.get(key) ?? fits).filter((one) => fits.includes(one));
    left.set(key, both);
    return both[0];
  };
  let found = 0;
  const tree = csstree.parse(css, {
    positions: true,
    onParseError: (error) => {
      throw new PropertyFault(error.message, Number(Reflect.get(error, "line") ?? 1));
    },
  });
  csstree.walk(tree, {
    visit: "Declaration",
    enter(node) {
      if (!node.property.startsWith("--zt-")) return;
      const line = node.loc?.start.line ?? 1;
      const other = beside.get(node.property);
      const token = other?.token ?? byProperty.get(node.property);
      if (!token) throw new PropertyFault(`The look has no token ${node.property}.`, line);
      const place = placeOf(this.atrule?.prelude ? csstree.generate(this.atrule.prelude) : undefined);
      if (!place) throw new PropertyFault("This media query doesn’t match a band of the shop.", line);
      const text = csstree.generate(node.value).trim();
      const followed = referenceOf(text);
      // A token that follows another has its own name already, and a picture its address.
      if (other && (text.startsWith("var(") || token.type === "picture")) return;
      const value = followed
        ? following(followed.name)
        : token.choices
          ? choice(token, place, other?.end ?? "", text)
          : readValue(token, text);
      if (value === undefined) throw new PropertyFault(`${node.property} is not a valid ${token.type}.`, line);
      found++;
      if (place === "dark") dark[token.name] = value;
      else said.set(token.name, { ...said.get(token.name), [place]: value });
    },
  });
  if (found === 0) throw new PropertyFault("No custom property here begins with --zt-.", 1);
  const values = Object.fromEntries([...said].map(([token, places]) => [token, asBanded(places, tokens.get(token))]));
  try {
    return checkDocument(lookKind, { ...emptyLook(name), values, dark });
  } catch (error) {
    if (error instanceof InvalidDocument) throw new PropertyFault(error.message, 1);
    throw error;
  }
}
