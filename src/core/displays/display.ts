import type { Mode, RangeSpec } from "../engine/question.ts";
import type { FieldProfile } from "../profile/profile.ts";
import type { FacetSettings, SettingName, SettingValues } from "../settings/settings.ts";
import type { InteractionCost, Room } from "./interaction-cost.ts";
import type { Seeking } from "./seeking.ts";

/** The ranges in which a facet's numbers are counted, given its settings on a band. */
export type RangeCounting = (settings: Pick<FacetSettings, "rangeBy" | "rangeCount" | "rangeLimits">) => RangeSpec;

/** Selects the options that a display lets shoppers choose from those shown; by identity, in the order shown. */
export type OfferedOptions = (ids: readonly string[], settings: Pick<FacetSettings, "nested">) => readonly string[];

/**
 * The facts that shop pages need too. A display file exports them separately from its definition, so that the
 * designer's texts are not part of shoppers' scripts; `shop-facts.ts` lists them.
 */
export interface ShopFacts {
  /** The ranges in which its facet is counted. Default: options, or one range. */
  countedIn?: RangeCounting;
  /** Number of options in the space of one check box. Default: 1. */
  density?: (settings: Pick<FacetSettings, "caption">) => number;
  /** The options it offers. Default: all that the panel shows. */
  offers?: OfferedOptions;
  /** It draws the levels of a path itself. Default: a category has its own name only. */
  levels?: true;
}

/** The facts of a display. Its view, in the storefront, is a folder of the same name. */
export interface Display {
  /** The designer's name for it. */
  label: string;
  /** Modes it supports; the first is used if the facet's own is not among them. */
  modes: readonly [Mode, ...Mode[]];
  /** Settings it uses beside {@link commonSettings}. */
  settings: readonly SettingName[];
  /** The effort and space of an answer, for rehearsals. */
  hands: InteractionCost;
  /** How an option is found. Default: options are read in order; see {@link along}. */
  seek?: Seeking;
  room: Room;
  /** A shopper looking for an option it doesn't offer ignores it. Default: that is a dead end. */
  oneSided?: true;
  /** It shows swatches. Default: it does not. */
  swatches?: true;
  /** Facts for shop pages. Default: as for a list of check boxes. */
  shop?: ShopFacts;
  /** The parts of a look it consists of, the main one first. */
  parts: readonly [string, ...string[]];
  /** How it is shown as a specimen. */
  specimen?: Specimen;
  /** Undefined if it suits the field; otherwise why not and what to do, in one or two sentences. */
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
/** Settings of every display of options. */
export const optionSettings: readonly SettingName[] = ["counting", "emptyOptions", "order"];
/** Settings of open lists of options. */
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
