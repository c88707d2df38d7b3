/** The kinds of token values. Lengths are in CSS px, times in ms, colours are `#rrggbb` or `#rrggbbaa`. */
export const tokenTypes = [
  "colour",
  "length",
  "number",
  "weight",
  "font",
  "time",
  "choice",
  "shadow",
  "picture",
] as const;
export type TokenType = (typeof tokenTypes)[number];

/** A shadow; lengths in CSS px. */
export interface Shadow {
  x: number;
  y: number;
  blur: number;
  spread: number;
  colour: string;
}

/**
 * The value of a token: a number for lengths, numbers, weights and times, a {@link Shadow}, a text for the rest; or
 * the name of the token that it follows, in braces.
 */
export type TokenValue = string | number | Shadow;

const reference = /^\{([a-z0-9.-]+)\}$/;

/** The name of the token that a value follows; undefined if it is a value of its own. */
export const referenceIn = (value: TokenValue): string | undefined =>
  typeof value === "string" ? reference.exec(value)?.[1] : undefined;

/** A value that follows another token. */
export const following = (token: string): string => `{${token}}`;

/** The states that parts of a panel can be in. What is said of none follows the one before it, at last the first. */
export const states = ["rest", "hovered", "focused", "chosen", "chosen-hovered", "unavailable"] as const;
export type TokenState = (typeof states)[number];

/** The state whose value holds where a state has no colour. */
export const stateBefore: Readonly<Record<Exclude<TokenState, "rest">, TokenState>> = {
  hovered: "rest",
  focused: "rest",
  chosen: "rest",
  "chosen-hovered": "chosen",
  unavailable: "rest",
};
