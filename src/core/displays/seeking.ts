import { ancestors } from "../catalogue/path.ts";
import { matchesWords, words } from "../engine/index/words.ts";
import type { Mode } from "../engine/question.ts";
import type { FacetSettings } from "../settings/settings.ts";
import { clicks, type Operator, typed } from "./interaction-cost.ts";

/** An option that a shopper looks for among the options of a facet. */
export interface Sought {
  /** Number of options in the space of one check box. */
  density: number;
  mode: Mode;
  settings: FacetSettings;
  /** The options shown, in their order. */
  shown: readonly { readonly id: string; readonly label: string }[];
  /** Its index among them, from 0. */
  at: number;
}

/**
 * One way to bring an option into view: the number of options read, including itself, and the operators before
 * pressing it.
 */
export interface Way {
  read: number;
  acts: Operator[];
}

/** The ways that a display allows; the quickest one counts. */
export type Seeking = (sought: Sought) => Way[];

/**
 * Number of a facet's options shown before a button reveals the rest; all without such a button.
 * @param density number of options in the space of one check box
 */
export function shownAtOnce(density: number, settings: FacetSettings, options: number): number {
  const after = settings.foldAfter * density;
  // A single further option takes no more space than the button that would hide it.
  return after > 0 && options > after + 1 ? after : options;
}

/**
 * Options are read in order, after a button reveals the rest if needed; or a search field inside the list finds them.
 */
export const along: Seeking = (sought) => {
  const { density, settings, shown, at } = sought;
  const hidden = at >= shownAtOnce(density, settings, shown.length);
  const reading = { read: at + 1, acts: hidden ? clicks() : [] };
  return settings.searchInside ? [reading, ...typedInto(Number.POSITIVE_INFINITY)(sought)] : [reading];
};

/** Number of options from which a list behind a button has a search field. */
export const innerSearchFrom = 15;

/**
 * As {@link along}, for a list behind a button, which hides nothing. With a single choice it is the browser's own
 * list, without a search field.
 */
export const behindButton: Seeking = ({ settings, mode, ...sought }) => {
  const inside = (mode === "any" || mode === "all") && (settings.searchInside || sought.shown.length > innerSearchFrom);
  return along({ ...sought, mode, settings: { ...settings, foldAfter: 0, searchInside: inside } });
};

/** Branches are collapsed until opened: the options of each level down to the sought one are read. */
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

/** Number of characters typed before looking at the results. Common practice, no source. */
const typedOfName = 4;

/** Typing the beginning of a name and reading the results. @param most number of results shown */
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

/** Number of results that a search field shows. */
export const maxFound = 8;
