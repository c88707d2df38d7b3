import type { Banded } from "../settings/band.ts";
import type { TokenState, TokenType, TokenValue } from "./value.ts";

/**
 * Where a token shows: an element, and a property of its style. `&` is the part's own element in the token's state.
 * The end names one of the properties that a choice writes.
 */
export type Effect = readonly [selector: string, property: string, end?: string];

/** One choice of a token that is one of a few: what it writes, by the end of the custom property's name. */
export type TokenChoice = Readonly<Record<string, string>>;

/** The settable properties of a part: their default values by state, and where they apply. */
export interface Property {
  type: TokenType;
  label: string;
  /** Values of the states that do not follow another one; at rest there always is one. */
  at: { readonly [S in TokenState]?: TokenValue | Banded<TokenValue> } & { rest: TokenValue | Banded<TokenValue> };
  to: readonly Effect[];
  min?: number;
  max?: number;
  step?: number;
  /** The possible values, where there are only a few, with what each writes. */
  choices?: Readonly<Record<string, TokenChoice>>;
  /** It can differ by the part's states. */
  stated?: boolean;
  /** The picture of the same part that takes its place: in a state that has one, it is not there. */
  under?: string;
}

/** A part of a panel, a listing or the shop around them that can be styled. */
export interface LookPart {
  label: string;
  /** Where in the tool it is listed. */
  group: "Basics" | "Panel" | "Options" | "Controls" | "Listing" | "Shop";
  /** The elements that are the part; empty for what others are made from. */
  at: string;
  /** By state, what is put behind the selector; states that are not named do not exist. */
  states?: { readonly [S in TokenState]?: string };
  properties: Readonly<Record<string, Property>>;
  /** The pairs that must contrast, see `audit.ts`. */
  judged?: readonly Judged[];
}

/** A pair of colours of one part that must differ. */
export interface Judged {
  /** Property that must be seen. */
  of: string;
  /** Property that is the ground under it, over the panel's own; without it the panel's alone. */
  on?: string;
  /** Text has 4.5 or, where it is large, 3; whatever else tells what something is has 3. */
  as: "text" | "control";
  /** Another property that tells it as well, so that one of the two suffices. */
  or?: string;
  /** Property with the size of the text in CSS px, and the one with its weight. */
  size?: string;
  weight?: string;
}

/** States of an option: the label around an input. They hold without scripts too. */
export const optionStates = {
  rest: "",
  hovered: ":hover",
  focused: ":has(:focus-visible)",
  chosen: ":has(:checked)",
  "chosen-hovered": ":has(:checked):hover",
  unavailable: "[data-faded]",
} as const;

/** States of a button. */
export const buttonStates = {
  rest: "",
  hovered: ":hover",
  focused: ":focus-visible",
  unavailable: ":disabled",
} as const;

/** States of a link or of what is never unavailable. */
export const linkStates = { rest: "", hovered: ":hover", focused: ":focus-visible" } as const;

type At = Property["at"];
type Value = TokenValue | Banded<TokenValue>;
type More = Partial<Pick<Property, "min" | "max" | "step" | "under">>;
const isAt = (value: Value | At): value is At => typeof value === "object" && value !== null && "rest" in value;
const at = (value: Value | At): At => (isAt(value) ? value : { rest: value });

/** Where something shows: on the part's own element, in one or several properties. */
export const own = (...properties: string[]): Effect[] => properties.map((property) => ["&", property]);
/** On an element inside the part. */
export const inner = (selector: string, ...properties: string[]): Effect[] =>
  properties.map((property) => [`& ${selector}`, property]);
/** On elements of their own, whatever the part's is. */
export const on = (selector: string, ...properties: string[]): Effect[] =>
  properties.map((property) => [selector, property]);

const property =
  (type: TokenType, usual: More = {}) =>
  (label: string, value: Value | At, to: readonly Effect[] = [], more: More = {}): Property => ({
    type,
    label,
    at: at(value),
    to,
    ...usual,
    ...more,
    ...(isAt(value) ? { stated: true } : {}),
  });

export const colour = property("colour");
/** A length in CSS px. */
export const length = property("length", { min: 0, max: 400, step: 1 });
export const number = property("number", { min: 0, max: 10, step: 0.05 });
export const weight = property("weight", { min: 1, max: 1000, step: 50 });
export const font = property("font");
/** A time in ms. */
export const time = property("time", { min: 0, max: 2000, step: 10 });
export const shadow = property("shadow");
/** A picture of the shop's, or none. */
export const picture = property("picture");

/** One of a few, told by what each of them writes. */
export const choice = (
  label: string,
  value: Value | At,
  choices: Readonly<Record<string, string | TokenChoice>>,
  to: readonly Effect[] = [],
): Property => ({
  type: "choice",
  label,
  at: at(value),
  to,
  choices: Object.fromEntries(
    Object.entries(choices).map(([name, written]) => [name, typeof written === "string" ? { "": written } : written]),
  ),
  ...(isAt(value) ? { stated: true } : {}),
});

/** Lines around something: what most parts have of border and corners. */
export const lineStyles = { solid: "solid", dashed: "dashed", dotted: "dotted", double: "double" } as const;
/** How letters are set. */
export const cases = {
  "as written": "none",
  capitals: "uppercase",
  small: "lowercase",
  "each word": "capitalize",
} as const;
/** Lines under words. */
export const decorations = { none: "none", underline: "underline", through: "line-through" } as const;
