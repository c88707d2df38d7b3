import type { Mode, RangeSpec } from "../engine/question.ts";
import type { FieldProfile } from "../profile/profile.ts";
import type { FacetSettings, SettingName, SettingValues } from "../settings/settings.ts";
import type { InteractionCost, Room } from "./interaction-cost.ts";
import type { Seeking } from "./seeking.ts";

/** The ranges of a number line that a facet is counted in, by its settings on a band. */
export type RangeCounting = (settings: Pick<FacetSettings, "rangeBy" | "rangeCount" | "rangeLimits">) => RangeSpec;

/** Of the options that a panel shows, those that a display lets shoppers choose; by identity, in the order shown. */
export type OfferedOptions = (ids: readonly string[], settings: Pick<FacetSettings, "nested">) => readonly string[];

/**
 * The facts that shop pages need as well. A display file exports them apart from its definition, so that the
 * designer's words are not part of shoppers' scripts; `shop-facts.ts` lists them.
 */
export interface ShopFacts {
  /** The ranges that its facet is counted in. Default: options or one range are counted. */
  countedIn?: RangeCounting;
  /** How many options take the room of one check box. Default: 1. */
  density?: (settings: Pick<FacetSettings, "caption">) => number;
  /** The options that it offers. Default: all that the panel shows. */
  offers?: OfferedOptions;
  /** It draws the levels of a path itself. Default: a category has its own name only. */
  levels?: true;
}

/** The facts of one way to show a facet. The view, in the storefront, is a folder of the same name. */
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
  /** What shop pages know of it. Default: nothing differs from a list of check boxes. */
  shop?: ShopFacts;
  /** The parts of a look that it is made of, the one that makes most of it first. */
  parts: readonly [string, ...string[]];
  /** How it is shown as a specimen. */
  specimen?: Specimen;
  /** Undefined when it suits the field; otherwise why not and what to do, in one or two sentences. */
  unsuited(profile: FieldProfile): string | undefined;
}

/** A facet that shows a display in the specimens' shop. */
export interface Specimen {
  /** The field there. Default: `size`. */
  field?: string;
  /** How many options are seen; displays that are a row of options need more than one. Default: 1. */
  options?: number;
  settings?: SettingValues;
}

/** Parts of a look that every list of options has. */
export const optionParts = ["option", "count"] as const;
/** Settings of every facet, whatever its display. */
export const commonSettings: readonly SettingName[] = ["title", "start", "hint", "chosenCount", "clearLink", "share"];
/** Settings of everything that shows options. */
export const optionSettings: readonly SettingName[] = ["counting", "emptyOptions", "order"];
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
export const rangeSettings: readonly SettingName[] = ["ends", "min", "max", "step", "prefix", "suffix", "decimals"];
