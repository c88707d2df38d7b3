import { binnings } from "../catalogue/numbers/binning.ts";
import type { Band, Banded } from "./band.ts";
import { byBand, choiceOfNames, is, type SparseOf, settingTable, type ValuesOf } from "./setting-facts.ts";

/** Every setting of a facet besides its field, label, display, mode and options. */
export const settingFacts = {
  title: is(true),
  start: choiceOfNames(["open", "folded", "fixed"], "open"),
  hint: is(""),
  clearLink: is(false),
  /** Show the number of chosen options beside the title. */
  chosenCount: is(false),
  /**
   * The share of the panel's width for a facet; by default all of it beside the products, and a part of it above them.
   */
  share: byBand(choiceOfNames(["auto", "full", "half", "third", "quarter"], "auto")),
  /** No counts, counts for the whole page, or counts for the current selection. */
  counting: choiceOfNames(["none", "steady", "live"], "live"),
  /** The treatment of options without products. */
  emptyOptions: choiceOfNames(["keep", "fade", "drop"], "fade"),
  /** The order of a facet's options. `natural` puts 9 cm before 10 cm. */
  order: choiceOfNames(["count", "name", "natural", "hand"], "count"),
  searchInside: byBand(is(false)),
  foldAfter: byBand(is(8)),
  maxHeight: byBand(is(0)),
  columns: byBand(is(1)),
  /** Whether options are listed vertically or horizontally. */
  flow: byBand(choiceOfNames(["column", "row"], "column")),
  /** Where an option’s text appears relative to its swatch or picture. */
  caption: byBand(choiceOfNames(["hint", "on", "beside", "under"], "hint")),
  /** Shape, size in px and gap in px of swatches and pictures; by default as in the look. */
  shape: choiceOfNames(["look", "round", "square"], "look"),
  size: byBand(is<number | null>(null)),
  gap: byBand(is<number | null>(null)),
  /** Whether swatches have an outline: where needed for visibility, all, or none. */
  edge: choiceOfNames(["auto", "all", "none"], "auto"),
  nested: is(true),
  /** Source of a range's ends: all of the page's products, those left by the other choices, or the designer. */
  ends: choiceOfNames(["steady", "live", "typed"], "steady"),
  min: is<number | null>(null),
  max: is<number | null>(null),
  step: is(0),
  prefix: is(""),
  suffix: is(""),
  decimals: is<number | null>(null),
  bubbles: is(true),
  values: is(true),
  histogram: byBand(is(true)),
  /** A linear scale, or a logarithmic-like one for values of which a few are much larger than the rest. */
  scale: choiceOfNames(["even", "bent"], "even"),
  /** How a number line is divided into price ranges. */
  rangeBy: choiceOfNames([...binnings, "typed"], "products"),
  rangeCount: is(5),
  rangeLimits: is<number[]>([]),
};

type Facts = typeof settingFacts;
export type SettingName = keyof Facts;

/** All settings of a facet on one band. */
export type FacetSettings = ValuesOf<Facts>;

/** The possible values of a setting. */
export type SettingValue = FacetSettings[SettingName];
export type OptionOrder = FacetSettings["order"];
export type Share = FacetSettings["share"];

/** Settings that differ from their default. One that differs by band is given for each band with a value. */
export type SettingValues = SparseOf<Facts>;

const table = settingTable(settingFacts);

/** The names of all settings, in display order. */
export const settingNames: readonly SettingName[] = table.names;

/** Whether each band can have a value of its own. */
export const isBanded = (name: SettingName): boolean => table.isBanded(name);

/** The default of a setting. */
export const defaultOf = <K extends SettingName>(name: K): FacetSettings[K] => table.fallbackOf(name);

/** The setting on a band. */
export const settingOn = <K extends SettingName>(settings: SettingValues, name: K, band: Band): FacetSettings[K] =>
  table.on(settings, name, band);

/** A setting with its value on every band, the default if not set. */
export const bandedSetting = <K extends SettingName>(settings: SettingValues, name: K): Banded<FacetSettings[K]> =>
  table.banded(settings, name);

/** All settings on a band. */
export const settingsOn = (settings: SettingValues, band: Band): FacetSettings => table.allOn(settings, band);

/** The settings with one changed; values equal to the default are removed. */
export const withSetting = <K extends SettingName>(
  settings: SettingValues,
  name: K,
  value: Banded<FacetSettings[K]> | FacetSettings[K] | undefined,
): SettingValues => table.with(settings, name, value);
