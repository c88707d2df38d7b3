/**
 * Operators of the keystroke-level model: a key press (K), a button press (B), pointing (P), moving the hands between
 * pointer and keyboard (H), and mental preparation (M). Source: Card, Moran and Newell (1980), The Keystroke-Level
 * Model for User Performance Time with Interactive Systems, Communications of the ACM 23(7), which counts a button as
 * a key; kept separate here for touch, where pointing is pressing.
 */
export const operators = ["K", "B", "P", "H", "M"] as const;
export type Operator = (typeof operators)[number];

/** The properties of an answer that determine the operators. */
export interface Answering {
  /** Number of range ends set: 1 or 2; 0 for an option. */
  ends: number;
  /** Number of digits typed. */
  characters: number;
}

/** The operators for one answer, once the control or option is visible. */
export type InteractionCost = (answer: Answering) => Operator[];

const times = (n: number, acts: readonly Operator[]): Operator[] => Array.from({ length: n }, () => acts).flat();

/** Pointing at something and pressing it, a number of times. Default: once. */
export const clicks = (n = 1): Operator[] => times(n, ["P", "B"]);

/** Clicking a field and typing a number of characters. */
export const typed = (characters: number): Operator[] => [...clicks(), "H", ...times(characters, ["K"])];

/** A list is opened and an option clicked. */
export const pointing: InteractionCost = () => clicks();

/** Pointing at, pressing, dragging and releasing each handle. */
export const opening: InteractionCost = () => clicks(2);

/** Clicking each field, typing, and leaving the field by a key. */
export const dragging: InteractionCost = ({ ends }) => times(Math.max(1, ends), ["P", "B", "P", "B"]);

/** Each field is clicked, the hands go to the keys and type, and the field is left by a key. */
export const typing: InteractionCost = ({ ends, characters }) =>
  times(Math.max(1, ends), [...typed(characters), "K", "H"]);

/** How a display takes up room: an option a line, several options a line, one control, or a range with its picture. */
export type Room = "lines" | "rows" | "control" | "range";
