/**
 * Operators of the keystroke-level model: a key of the keyboard (K), a button of the pointer (B), something pointed at
 * (P), the hands moved between pointer and keyboard (H), and the mind made up (M). Source: Card, Moran and Newell (1980),
 * The Keystroke-Level Model for User Performance Time with Interactive Systems, Communications of the ACM 23(7), which
 * counts a button as a key; apart they serve a thumb as well, whose pointing is its press.
 */
export const operators = ["K", "B", "P", "H", "M"] as const;
export type Operator = (typeof operators)[number];

/** One answer, as far as it decides what the hands do. */
export interface Answering {
  /** Ends of a range that are set: 1 or 2; 0 for an option. */
  ends: number;
  /** Digits of a number that is typed. */
  characters: number;
}

/** Steps of the hands for one answer, once the control or the option is visible. */
export type InteractionCost = (answer: Answering) => Operator[];

const times = (n: number, acts: readonly Operator[]): Operator[] => Array.from({ length: n }, () => acts).flat();

/** Something is pointed at and pressed, so many times. Default: once. */
export const clicks = (n = 1): Operator[] => times(n, ["P", "B"]);

/** A field is clicked, and so many characters are typed into it. */
export const typed = (characters: number): Operator[] => [...clicks(), "H", ...times(characters, ["K"])];

/** The option is clicked. */
export const pointing: InteractionCost = () => clicks();

/** A list is opened, and the option in it clicked. */
export const opening: InteractionCost = () => clicks(2);

/** Each handle is pointed at, held, drawn to its place and let go. */
export const dragging: InteractionCost = ({ ends }) => times(Math.max(1, ends), ["P", "B", "P", "B"]);

/** Each field is clicked, the hands go to the keys and type, and the field is left by a key. */
export const typing: InteractionCost = ({ ends, characters }) =>
  times(Math.max(1, ends), [...typed(characters), "K", "H"]);

/** How a display takes up room: an option a line, several options a line, one control, or a range with its picture. */
export type Room = "lines" | "rows" | "control" | "range";
