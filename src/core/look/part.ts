import type { Banded } from "../settings/band.ts";
import type { TokenState, TokenType, TokenValue } from "./value.ts";

/**
 * Where a token applies: an element, and a property of its style. `&` is the part's own element in the token's state.
 * The suffix selects one of the properties that a choice writes.
 */
export type Effect = readonly [selector: string, property: string, end?: string];

/** One choice of a token with a few possible values: the text it writes, by suffix of the custom property's name. */
export type TokenChoice = Readonly<Record<string, string>>;

/** The settable properties of a part: their default values by state, and where they apply. */
export interface Property {
  type: TokenType;
  label: string;
  /** Values by state; a state without one follows another. There is always one at rest. */
  at: { readonly [S in TokenState]?: TokenValue | Banded<TokenValue> } & { rest: TokenValue | Banded<TokenValue> };
  to: readonly Effect[];
  min?: number;
  max?: number;
  step?: number;
  /** The possible values, if there are only a few, with what each writes. */
  choices?: Readonly<Record<string, TokenChoice>>;
  /** It can differ by the part's states. */
  stated?: boolean;
  /** The picture of the same part that replaces it in states that have one. */
  under?: string;
}

/** A part of a panel, a listing or the shop around them that can be styled. */
export interface LookPart {
  label: string;
  /** Where in the tool it is listed. */
  group: "Basics" | "Panel" | "Options" | "Controls" | "Listing" | "Shop";
  /** The part's elements; empty for values shared by other parts. */
  at: string;
  /** By state, the suffix of the selector; states that are not listed do not exist. */
  states?: { readonly [S in TokenState]?: string };
  properties: Readonly<Record<string, Property>>;
  /** The pairs that must contrast, see `audit.ts`. */
  judged?: readonly Judged[];
}

/** A pair of colours of one part that must differ. */
export interface Judged {
  /** Property that must be seen. */
  of: string;
  /** Property with the background under it, over the panel's own; default: the panel's only. */
  on?: string;
  /** Required ratio: text 4.5, or 3 if large; other cues 3. */
  as: "text" | "control";
  /** An alternative cue: one of the two suffices. */
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

/** Applies to the part's own element, in one or several properties. */
export const own = (...properties: string[]): Effect[] => properties.map((property) => ["&", property]);
/** Applies to an element inside the part. */
export const inner = (selector: string, ...properties: string[]): Effect[] =>
  properties.map((property) => [`& ${selector}`, property]);
/** Applies to other elements, whatever the part's own is. */
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

/** One of a few choices, given by what each of them writes. */
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

/** Lines around something: the border and corner properties of most parts. */
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
