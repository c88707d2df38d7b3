import { ancestors } from "../catalogue/path.ts";
import { matchesWords, words } from "../engine/index/words.ts";
import type { Mode } from "../engine/question.ts";
import type { FacetSettings } from "../settings/settings.ts";
import { clicks, type Operator, typed } from "./interaction-cost.ts";

/** An option that a shopper looks for among those that a facet shows. */
export interface Sought {
  /** Options that take the room of one check box. */
  density: number;
  mode: Mode;
  settings: FacetSettings;
  /** The options shown, in their order. */
  shown: readonly { readonly id: string; readonly label: string }[];
  /** Its place among them, from 0. */
  at: number;
}

/** One way to have an option in sight: options that are read, itself included, and what the hands do before it is pressed. */
export interface Way {
  read: number;
  acts: Operator[];
}

/** The ways of a display; whoever is in a hurry takes the quickest. */
export type Seeking = (sought: Sought) => Way[];

/** How many of a facet's options are seen before a button shows the rest; all where it has no such button. @param density options that take the room of one check box */
export function shownAtOnce(density: number, settings: FacetSettings, options: number): number {
  const after = settings.foldAfter * density;
  // One more option takes no more room than the button that would hide it.
  return after > 0 && options > after + 1 ? after : options;
}

/** Options are read one after the other, and the rest is shown first where a button hides it; or a field inside finds them. */
export const along: Seeking = (sought) => {
  const { density, settings, shown, at } = sought;
  const hidden = at >= shownAtOnce(density, settings, shown.length);
  const reading = { read: at + 1, acts: hidden ? clicks() : [] };
  return settings.searchInside ? [reading, ...typedInto(Number.POSITIVE_INFINITY)(sought)] : [reading];
};

/** Options from which on a list behind a button has a field that finds them. */
export const innerSearchFrom = 15;

/** As {@link along}, in a list behind a button, which folds nothing. That of one option is the browser's own, without a field. */
export const behindButton: Seeking = ({ settings, mode, ...sought }) => {
  const inside = (mode === "any" || mode === "all") && (settings.searchInside || sought.shown.length > innerSearchFrom);
  return along({ ...sought, mode, settings: { ...settings, foldAfter: 0, searchInside: inside } });
};

/** Branches stay folded until they are opened: what is read are the options of each level, down to the one that is sought. */
export const byLevel: Seeking = ({ settings, shown, at, ...rest }) => {
  if (!settings.nested) return along({ settings: { ...settings, foldAfter: 0 }, shown, at, ...rest });
  const id = shown[at]?.id ?? "";
  const path = [...ancestors(id), id];
  const ids = shown.map((one) => one.id);
  const read = path.map((branch, depth) => {
    const beside = ids.filter((other) => ancestors(other).at(-1) === (depth > 0 ? path[depth - 1] : undefined));
    return beside.indexOf(branch) + 1;
  });
  return [{ read: read.reduce((sum, one) => sum + one, 0), acts: clicks(path.length - 1) }];
};

/** Characters of a name that are typed until it is looked for in what they find. Common practice, no source. */
const typedOfName = 4;

/** The beginning of a name is typed, and what it finds is read. @param most options that are shown of those found */
export const typedInto =
  (most: number): Seeking =>
  ({ shown, at }) => {
    const name = shown[at]?.label ?? "";
    for (let characters = Math.min(typedOfName, name.length); characters <= name.length; characters++) {
      const query = words(name.slice(0, characters));
      const found = shown.filter(({ label }) => matchesWords(label, query));
      const read = found.findIndex(({ label }) => label === name) + 1;
      if (read > 0 && read <= most) return [{ read, acts: [...typed(characters), "H"] }];
    }
    return [];
  };

/** How many of those found a search field shows. */
export const maxFound = 8;
