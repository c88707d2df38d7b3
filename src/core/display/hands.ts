/**
 * Operators of the keystroke-level model: a key or button pressed (K), something pointed at (P), the hands moved between
 * pointer and keyboard (H), and the mind made up (M). Source: Card, Moran and Newell (1980), The Keystroke-Level Model
 * for User Performance Time with Interactive Systems, Communications of the ACM 23(7).
 */
export const operators = ["K", "P", "H", "M"] as const;
export type Operator = (typeof operators)[number];

/** One answer, as far as it decides what the hands do. */
export interface Answering {
  /** Ends of a range that are set: 1 or 2; 0 for an option. */
  ends: number;
  /** Levels of a tree from its top down to the option; 1 where there is no tree. */
  levels: number;
  /** Characters of what is typed: a number, or the beginning of a name. */
  characters: number;
}

/** What the hands do for one answer, once the control is in sight. */
export type Hands = (answer: Answering) => Operator[];

const click: readonly Operator[] = ["P", "K"];
const times = (n: number, acts: readonly Operator[]): Operator[] => Array.from({ length: n }, () => acts).flat();

/** The option is clicked. */
export const pointing: Hands = () => [...click];

/** A list is opened, and the option in it clicked. */
export const opening: Hands = () => times(2, click);

/** Each level of a tree is clicked. */
export const descending: Hands = ({ levels }) => times(levels, click);

/** Each handle is pointed at, held, drawn to its place and let go. */
export const dragging: Hands = ({ ends }) => times(Math.max(1, ends), ["P", "K", "P", "K"]);

/** Each field is clicked, the hands go to the keys and type, and the field is left by a key. */
export const typing: Hands = ({ ends, characters }) =>
  times(Math.max(1, ends), [...click, "H", ...times(characters, ["K"]), "K", "H"]);

/** A field is clicked, the beginning of a name is typed, and what it finds is clicked. */
export const searching: Hands = ({ characters }) => [...click, "H", ...times(characters, ["K"]), "H", ...click];

/** How a display takes up room: an option a line, several options a line, one control, or a range with its picture. */
export type Room = "lines" | "rows" | "control" | "range";
