import { type Band, type Banded, resolve } from "../band/band.ts";
import { partings } from "../numbers/parting.ts";

/** A fact of a setting: what it is until the designer changes it, what it may be, and whether each band can have its own. */
interface Fact<T> {
  fallback: T;
  /** What it can be, where that is a choice of a few. */
  of?: readonly T[];
  banded: boolean;
}

const is = <T>(fallback: T): Fact<T> => ({ fallback, banded: false });
const oneOf = <const T extends readonly string[]>(of: T, fallback: T[number]): Fact<T[number]> => ({
  fallback,
  of,
  banded: false,
});
const byBand = <T>(fact: Fact<T>): Fact<T> => ({ ...fact, banded: true });

/** Everything that can be set for one facet beside its field, label, display, mode and options. */
export const settingFacts = {
  title: is(true),
  start: oneOf(["open", "folded", "fixed"], "open"),
  hint: is(""),
  clearLink: is(false),
  /** How much of the panel's width a facet takes; by itself the whole beside the products, and a part above them. */
  share: byBand(oneOf(["auto", "full", "half", "third", "quarter"], "auto")),
  /** No counts, counts of the whole page, or counts that follow what is chosen. */
  counting: oneOf(["none", "steady", "live"], "live"),
  /** What becomes of options that lead nowhere. */
  deadEnd: oneOf(["keep", "fade", "drop"], "fade"),
  /** The order of a facet's options. `natural` puts 9 cm before 10 cm. */
  order: oneOf(["count", "name", "natural", "hand"], "count"),
  searchInside: byBand(is(false)),
  foldAfter: byBand(is(8)),
  maxHeight: byBand(is(0)),
  columns: byBand(is(1)),
  /** Whether options stand one under the other or one beside the other. */
  flow: byBand(oneOf(["column", "row"], "column")),
  /** Where an option's text stands at its swatch or picture. */
  caption: byBand(oneOf(["hint", "on", "beside", "under"], "hint")),
  shape: oneOf(["round", "square"], "round"),
  size: byBand(is(26)),
  gap: byBand(is(10)),
  /** Whether swatches have an outline: where they need one to be seen, all, or none. */
  edge: oneOf(["auto", "all", "none"], "auto"),
  nested: is(true),
  /** Where a range's ends come from: all of the page's products, those that the other choices leave, or the designer. */
  ends: oneOf(["steady", "live", "typed"], "steady"),
  least: is<number | null>(null),
  most: is<number | null>(null),
  step: is(0),
  prefix: is(""),
  suffix: is(""),
  decimals: is<number | null>(null),
  bubbles: is(true),
  values: is(true),
  histogram: byBand(is(true)),
  /** An even scale, or one on which equal lengths are equal ratios, for values of which a few lie far above the rest. */
  scale: oneOf(["even", "bent"], "even"),
  /** How a number line is parted into price ranges. */
  rangeBy: oneOf([...partings, "typed"], "products"),
  rangeCount: is(5),
  rangeLimits: is<number[]>([]),
};

type Facts = typeof settingFacts;
export type SettingName = keyof Facts;
type ValueOf<F> = F extends Fact<infer T> ? T : never;

/** All settings of a facet, as they are on one band. */
export type FacetSettings = { [K in SettingName]: ValueOf<Facts[K]> };

/** What some setting can be. */
export type SettingValue = FacetSettings[SettingName];
export type OptionOrder = FacetSettings["order"];
export type Share = FacetSettings["share"];

/** The names of all settings, in the order in which they are shown. */
export const settingNames = Object.keys(settingFacts) as SettingName[];

/** Whether each band can have a value of its own. */
export const isBanded = (name: SettingName): boolean => settingFacts[name].banded;

/** What a setting is until the designer changes it. */
export const fallbackOf = <K extends SettingName>(name: K): FacetSettings[K] =>
  settingFacts[name].fallback as FacetSettings[K];

/** Settings that are not at their default. One that can differ by band says so for each band that it is set on. */
export type SettingValues = { [K in SettingName]?: Banded<FacetSettings[K]> | FacetSettings[K] | undefined };

/** The setting that holds on a band. */
export function settingOn<K extends SettingName>(settings: SettingValues, name: K, band: Band): FacetSettings[K] {
  const given = settings[name];
  if (given === undefined) return fallbackOf(name);
  return isBanded(name) ? resolve(given as Banded<FacetSettings[K]>, band) : (given as FacetSettings[K]);
}

/** A setting as it is on every band, at its default where it is not set. */
export function bandedSetting<K extends SettingName>(settings: SettingValues, name: K): Banded<FacetSettings[K]> {
  return (settings[name] as Banded<FacetSettings[K]> | undefined) ?? { wide: fallbackOf(name) };
}

/** All settings as they are on a band. */
export function settingsOn(settings: SettingValues, band: Band): FacetSettings {
  const all: Partial<Record<SettingName, unknown>> = {};
  for (const name of settingNames) all[name] = settingOn(settings, name, band);
  return all as FacetSettings;
}

/** The settings with one changed; one that is at its default again is left out. */
export function withSetting<K extends SettingName>(
  settings: SettingValues,
  name: K,
  value: Banded<FacetSettings[K]> | FacetSettings[K] | undefined,
): SettingValues {
  const { [name]: _old, ...rest } = settings;
  const fallback = fallbackOf(name);
  const plain = isBanded(name) ? { wide: fallback } : fallback;
  if (value === undefined || JSON.stringify(value) === JSON.stringify(plain)) return rest;
  return { ...rest, [name]: value };
}
