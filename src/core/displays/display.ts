import type { Mode } from "../engine/question.ts";
import type { FieldProfile } from "../profile/profile.ts";
import type { SettingName } from "../settings/settings.ts";
import type { RangeCounting } from "./counted-in.ts";
import type { InteractionCost, Room } from "./interaction-cost.ts";
import type { Seeking } from "./seeking.ts";

/** The facts of one way to show a facet. How it looks is the storefront's; a view of the same name stands there. */
export interface Display {
  /** The designer's name for it. */
  label: string;
  /** Modes that it can carry; the first is taken when the facet's own is not among them. */
  modes: readonly [Mode, ...Mode[]];
  /** Settings that it heeds beside those of every facet; see {@link commonSettings}. */
  settings: readonly SettingName[];
  /** The effort and the space of an answer; the rehearsal uses both. */
  hands: InteractionCost;
  /** How an option comes in sight. Default: options are read one after the other; see {@link along}. */
  seek?: Seeking;
  room: Room;
  /** Whoever looks for what it does not offer leaves it alone, and has met no dead end. Default: it is one. */
  oneSided?: true;
  /** It shows what the swatch book holds of a value. Default: it does not. */
  swatches?: true;
  /** The ranges that its facet is counted in; absent where options or one range are counted. */
  countedIn?: RangeCounting;
  /** Undefined when it suits the field; otherwise why not and what to do, in one or two sentences. */
  unsuited(profile: FieldProfile): string | undefined;
}

/** Settings of every facet, whatever its display. */
export const commonSettings: readonly SettingName[] = ["title", "start", "hint", "chosenCount", "clearLink", "share"];
/** Settings of everything that shows options. */
export const optionSettings: readonly SettingName[] = ["counting", "deadEnd", "order"];
/** Settings of options that lie open in a list. */
export const listSettings: readonly SettingName[] = [
  ...optionSettings,
  "searchInside",
  "foldAfter",
  "maxHeight",
  "columns",
  "flow",
];
/** Settings of swatches and pictures in a list. */
export const swatchSettings: readonly SettingName[] = [...listSettings, "caption", "shape", "size", "gap", "edge"];
/** Settings of displays that show a range's ends. */
export const rangeSettings: readonly SettingName[] = ["ends", "least", "most", "step", "prefix", "suffix", "decimals"];
