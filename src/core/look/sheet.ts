import { type Banded, bands, resolve } from "../settings/band.ts";
import type { Effect, LookPart } from "./part.ts";
import { dependents, type LookValues, tokenSettingOf } from "./resolve.ts";
import { parts, statesOf, type Token, tokenName, tokens } from "./tokens.ts";
import { referenceIn, type Shadow, type TokenState, type TokenValue } from "./value.ts";

/** The custom property that carries a token, like `--zt-tile-ground-chosen`. */
export const propertyOf = (name: string): string => `--zt-${name.replaceAll(".", "-")}`;

/** Suffix of the property by which a picture removes what it replaces. */
const cleared = "-clear";

/** The suffixes of the properties that a token writes. */
export const valueEndings = ({ type, choices }: Pick<Token, "type" | "choices">): string[] =>
  choices ? Object.keys(Object.values(choices)[0] ?? { "": "" }) : type === "picture" ? ["", cleared] : [""];

const isShadow = (value: TokenValue): value is Shadow => typeof value === "object";

/** A value in CSS, by suffix of the custom property's name; some choices have several. */
export function written(token: Pick<Token, "type" | "choices">, value: TokenValue): Readonly<Record<string, string>> {
  const reference = referenceIn(value);
  if (reference !== undefined) return { "": `var(${propertyOf(reference)})` };
  switch (token.type) {
    case "choice":
      return token.choices?.[String(value)] ?? { "": "initial" };
    case "length":
      return { "": `${value}px` };
    case "time":
      return { "": `${value}ms` };
    case "shadow":
      return { "": isShadow(value) ? shadowText(value) : "none" };
    case "picture":
      // With a picture, the property it replaces is cleared; without one, that suffix is not set.
      return value === "" ? { "": "none", [cleared]: "initial" } : { "": `url("${value}")`, [cleared]: "transparent" };
    default:
      return { "": String(value) };
  }
}

const shadowText = ({ x, y, blur, spread, colour }: Shadow): string =>
  `${x}px ${y}px ${blur}px ${spread}px ${written({ type: "colour" }, colour)[""]}`;

const declared = (token: Token, value: TokenValue): string => {
  // A token that follows another follows each of its properties.
  const reference = referenceIn(value);
  const all =
    reference === undefined
      ? written(token, value)
      : Object.fromEntries(valueEndings(token).map((end) => [end, `var(${propertyOf(reference)}${end})`]));
  return Object.entries(all)
    .map(([end, text]) => `${propertyOf(token.name)}${end}: ${text};`)
    .join(" ");
};

/**
 * A rule for all widths, and one for each narrower band with differences; `@media (--slim)` and so on stand for the
 * widths.
 */
function bandRules(selector: string, settings: readonly (readonly [Token, Banded<TokenValue>])[]): string {
  const rule = (lines: string[]) => (lines.length === 0 ? "" : `${selector} {\n${lines.join("\n")}\n}\n`);
  return bands
    .map((band) => {
      const lines = settings.flatMap(([token, setting]) => {
        const value = resolve(setting, band);
        return band !== "wide" && setting.wide === value ? [] : [declared(token, value)];
      });
      return band === "wide" || lines.length === 0 ? rule(lines) : `@media (--${band}) {\n${rule(lines)}}\n`;
    })
    .join("");
}

/** All tokens with their values in a look, as custom properties of a selector. */
export const lookSheet = (look: LookValues, selector: string): string =>
  settingSheet(look, tokens.keys(), selector) + darkSheet(look.dark, selector);

/** Only the values that a look sets, for places where all tokens are already defined. */
export const ownSheet = (look: LookValues, selector: string): string =>
  settingSheet(look, Object.keys(look.values), selector) + darkSheet(look.dark, selector);

/**
 * The rules of a look or override inside another look: its values, those they replace, and all tokens that follow any
 * of them, since references are resolved where they are declared.
 */
export function apartSheet(around: LookValues, apart: LookValues, selector: string, whole = true): string {
  // A look of its own starts from the defaults; a facet's overrides start from its panel's look.
  const own = whole ? apart : { ...around, values: { ...around.values, ...apart.values } };
  const named = [...Object.keys(apart.values), ...Object.keys(apart.dark)];
  const names = dependents(own, whole ? [...named, ...Object.keys(around.values), ...Object.keys(around.dark)] : named);
  return settingSheet(own, names, selector) + darkSheet(own.dark, selector, names);
}

const settingSheet = (look: LookValues, names: Iterable<string>, selector: string): string =>
  bandRules(
    selector,
    [...names].flatMap((name) => {
      const token = tokens.get(name);
      return token ? [[token, tokenSettingOf(look, token)] as const] : [];
    }),
  );

/** Colours for shoppers who prefer dark; `(--dark)` stands for that. */
function darkSheet(dark: LookValues["dark"], selector: string, names?: ReadonlySet<string>): string {
  const lines = Object.entries(dark).flatMap(([name, value]) => {
    const token = tokens.get(name);
    return token && value !== undefined && (names?.has(name) ?? true) ? [declared(token, value)] : [];
  });
  if (lines.length === 0) return "";
  return `@media (--dark) {\n${selector} {\ncolor-scheme: dark;\n${lines.join("\n")}\n}\n}\n`;
}

/** The rules that apply tokens to parts, in each of their states. @param wanted names of the parts */
export function partRules(wanted: Iterable<string> = Object.keys(parts)): string {
  const names = new Set(wanted);
  return Object.entries(parts)
    .filter(([name]) => names.has(name))
    .map(([name, part]) => rulesOf(name, part))
    .join("");
}

function rulesOf(name: string, part: LookPart): string {
  const rules = new Map<string, string[]>();
  const states = Object.keys(part.states ?? { rest: "" }) as TokenState[];
  for (const state of states)
    for (const [property, definition] of Object.entries(part.properties)) {
      if (!statesOf(part, definition).includes(state)) continue;
      for (const effect of definition.to) {
        const selector = selectorOf(part, state, effect);
        const lines = rules.get(selector) ?? [];
        rules.set(selector, lines);
        const value = `var(${propertyOf(tokenName(name, property, state))}${effect[2] ?? ""})`;
        const { under } = definition;
        const whole = under ? `var(${propertyOf(tokenName(name, under, state))}${cleared}, ${value})` : value;
        lines.push(`${effect[1]}: ${whole};`);
      }
    }
  return [...rules].map(([selector, lines]) => `${selector} {\n${lines.join("\n")}\n}\n`).join("");
}

/** The elements that show an effect in a state. */
export const selectorOf = ({ at, states }: LookPart, state: TokenState, [selector]: Effect): string =>
  selector.replace(/^&/, `${at}${states?.[state] ?? ""}`);
