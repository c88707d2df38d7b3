import { binnings } from "../catalogue/numbers/binning.ts";
import type { Band, Banded } from "./band.ts";
import { byBand, choiceOfNames, is, type SparseOf, settingTable, type ValuesOf } from "./setting-facts.ts";

/** Everything that can be set for one facet beside its field, label, display, mode and options. */
export const settingFacts = {
  title: is(true),
  start: choiceOfNames(["open", "folded", "fixed"], "open"),
  hint: is(""),
  clearLink: is(false),
  /** How many of its options are chosen, beside its title. */
  chosenCount: is(false),
  /** How much of the panel's width a facet takes; by itself the whole beside the products, and a part above them. */
  share: byBand(choiceOfNames(["auto", "full", "half", "third", "quarter"], "auto")),
  /** No counts, counts of the whole page, or counts that follow what is chosen. */
  counting: choiceOfNames(["none", "steady", "live"], "live"),
  /** The treatment of options without products. */
  emptyOptions: choiceOfNames(["keep", "fade", "drop"], "fade"),
  /** The order of a facet's options. `natural` puts 9 cm before 10 cm. */
  order: choiceOfNames(["count", "name", "natural", "hand"], "count"),
  searchInside: byBand(is(false)),
  foldAfter: byBand(is(8)),
  maxHeight: byBand(is(0)),
  columns: byBand(is(1)),
  /** Whether options stand one under the other or one beside the other. */
  flow: byBand(choiceOfNames(["column", "row"], "column")),
  /** Where an option’s text appears at its swatch or picture. */
  caption: byBand(choiceOfNames(["hint", "on", "beside", "under"], "hint")),
  /** Shape, size in px and gap in px of swatches and pictures; by themselves they follow the look. */
  shape: choiceOfNames(["look", "round", "square"], "look"),
  size: byBand(is<number | null>(null)),
  gap: byBand(is<number | null>(null)),
  /** Whether swatches have an outline: where they need one to be seen, all, or none. */
  edge: choiceOfNames(["auto", "all", "none"], "auto"),
  nested: is(true),
  /** Where a range's ends come from: all of the page's products, those that the other choices leave, or the designer. */
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
  /** An even scale, or one on which equal lengths are equal ratios, for values of which a few lie far above the rest. */
  scale: choiceOfNames(["even", "bent"], "even"),
  /** How a number line is parted into price ranges. */
  rangeBy: choiceOfNames([...binnings, "typed"], "products"),
  rangeCount: is(5),
  rangeLimits: is<number[]>([]),
};

type Facts = typeof settingFacts;
export type SettingName = keyof Facts;

/** All settings of a facet, as they are on one band. */
export type FacetSettings = ValuesOf<Facts>;

/** The possible values of a setting. */
export type SettingValue = FacetSettings[SettingName];
export type OptionOrder = FacetSettings["order"];
export type Share = FacetSettings["share"];

/** Settings that are not at their default. One that can differ by band says so for each band that it is set on. */
export type SettingValues = SparseOf<Facts>;

const table = settingTable(settingFacts);

/** The names of all settings, in the order in which they are shown. */
export const settingNames: readonly SettingName[] = table.names;

/** Whether each band can have a value of its own. */
export const isBanded = (name: SettingName): boolean => table.isBanded(name);

/** The default of a setting. */
export const defaultOf = <K extends SettingName>(name: K): FacetSettings[K] => table.fallbackOf(name);

/** The setting that holds on a band. */
export const settingOn = <K extends SettingName>(settings: SettingValues, name: K, band: Band): FacetSettings[K] =>
  table.on(settings, name, band);

/** A setting as it is on every band, at its default where it is not set. */
export const bandedSetting = <K extends SettingName>(settings: SettingValues, name: K): Banded<FacetSettings[K]> =>
  table.banded(settings, name);

/** All settings as they are on a band. */
export const settingsOn = (settings: SettingValues, band: Band): FacetSettings => table.allOn(settings, band);

/** The settings with one changed; one that is at its default again is left out. */
export const withSetting = <K extends SettingName>(
  settings: SettingValues,
  name: K,
  value: Banded<FacetSettings[K]> | FacetSettings[K] | undefined,
): SettingValues => table.with(settings, name, value);
