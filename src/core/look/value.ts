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

/** The name of the token that a value follows; undefined for other values. */
export const referenceIn = (value: TokenValue): string | undefined =>
  typeof value === "string" ? reference.exec(value)?.[1] : undefined;

/** A value that follows another token. */
export const following = (token: string): string => `{${token}}`;

/** The states of parts. A state without a value follows the one before it, and finally the first. */
export const states = ["rest", "hovered", "focused", "chosen", "chosen-hovered", "unavailable"] as const;
export type TokenState = (typeof states)[number];

/** The state to use for a state without a colour of its own. */
export const stateBefore: Readonly<Record<Exclude<TokenState, "rest">, TokenState>> = {
  hovered: "rest",
  focused: "rest",
  chosen: "rest",
  "chosen-hovered": "chosen",
  unavailable: "rest",
};
