import type { Banding } from "../evidence/round-bands.ts";
import { type Band, type Banded, resolve } from "./bands.ts";

/** Whether a facet is open or folded when the page is opened, or cannot be folded. */
export const starts = ["open", "folded", "fixed"] as const;
export type Start = (typeof starts)[number];
/** No counts, counts of the whole page, or counts that follow what is chosen. */
export const countings = ["none", "steady", "live"] as const;
export type Counting = (typeof countings)[number];
/** What becomes of options that lead nowhere. */
export const deadEnds = ["keep", "fade", "drop"] as const;
export type DeadEnd = (typeof deadEnds)[number];
/** The order of a facet's options. `natural` puts 9 cm before 10 cm. */
export const optionOrders = ["count", "name", "natural", "hand"] as const;
export type OptionOrder = (typeof optionOrders)[number];
/** Whether options stand one under the other or one beside the other. */
export const flows = ["column", "row"] as const;
export type Flow = (typeof flows)[number];
/** How much of the panel's width a facet takes; by itself it is the whole width beside the products, and a part above them. */
export const shares = ["auto", "full", "half", "third", "quarter"] as const;
export type Share = (typeof shares)[number];
/** Where an option's text stands at its swatch or picture. */
export const captions = ["hint", "on", "beside", "under"] as const;
export type Caption = (typeof captions)[number];
/** What swatches look like. */
export const swatchShapes = ["round", "square"] as const;
export type SwatchShape = (typeof swatchShapes)[number];
/** Whether swatches have an outline: where they need one to be seen, all, or none. */
export const swatchEdges = ["auto", "all", "none"] as const;
export type SwatchEdge = (typeof swatchEdges)[number];
/** Where a range's ends come from: all of the page's products, those that the other choices leave, or the designer. */
export const endings = ["steady", "live", "typed"] as const;
export type Ending = (typeof endings)[number];
/** An even scale, or one on which equal lengths are equal ratios, for values of which a few lie far above the rest. */
export const scales = ["even", "bent"] as const;
export type Scale = (typeof scales)[number];

/** Everything that can be set for one facet beside its field, label, display, mode and options. */
export interface FacetSettings {
  title: boolean;
  start: Start;
  hint: string;
  clearLink: boolean;
  share: Share;
  counting: Counting;
  deadEnd: DeadEnd;
  order: OptionOrder;
  searchInside: boolean;
  foldAfter: number;
  maxHeight: number;
  columns: number;
  flow: Flow;
  caption: Caption;
  shape: SwatchShape;
  size: number;
  gap: number;
  edge: SwatchEdge;
  nested: boolean;
  ends: Ending;
  least: number | null;
  most: number | null;
  step: number;
  prefix: string;
  suffix: string;
  decimals: number | null;
  bubbles: boolean;
  values: boolean;
  histogram: boolean;
  scale: Scale;
  banding: Banding | "typed";
  bandCount: number;
  bandLimits: readonly number[];
}

export type SettingName = keyof FacetSettings;

/** What every setting is until the designer changes it. */
export const settingDefaults: FacetSettings = {
  title: true,
  start: "open",
  hint: "",
  clearLink: false,
  share: "auto",
  counting: "live",
  deadEnd: "fade",
  order: "count",
  searchInside: false,
  foldAfter: 8,
  maxHeight: 0,
  columns: 1,
  flow: "column",
  caption: "hint",
  shape: "round",
  size: 26,
  gap: 10,
  edge: "auto",
  nested: true,
  ends: "steady",
  least: null,
  most: null,
  step: 0,
  prefix: "",
  suffix: "",
  decimals: null,
  bubbles: true,
  values: true,
  histogram: true,
  scale: "even",
  banding: "products",
  bandCount: 5,
  bandLimits: [],
};

export const settingNames = Object.keys(settingDefaults) as SettingName[];

const banded: ReadonlySet<SettingName> = new Set([
  "share",
  "searchInside",
  "foldAfter",
  "maxHeight",
  "columns",
  "flow",
  "caption",
  "size",
  "gap",
  "histogram",
]);

/** Whether each band can have a value of its own. */
export const isBanded = (name: SettingName): boolean => banded.has(name);

/** Settings that are not at their default. One that can differ by band says so for each band that it is set on. */
export type SettingValues = { [K in SettingName]?: Banded<FacetSettings[K]> | FacetSettings[K] };

/** The setting that holds on a band. */
export function settingOn<K extends SettingName>(settings: SettingValues, name: K, band: Band): FacetSettings[K] {
  const given = settings[name];
  if (given === undefined) return settingDefaults[name] as FacetSettings[K];
  return isBanded(name) ? resolve(given as Banded<FacetSettings[K]>, band) : (given as FacetSettings[K]);
}

/** A setting as it is on every band, at its default where it is not set. */
export function bandedSetting<K extends SettingName>(settings: SettingValues, name: K): Banded<FacetSettings[K]> {
  return (settings[name] as Banded<FacetSettings[K]> | undefined) ?? { wide: settingDefaults[name] as FacetSettings[K] };
}

/** All settings as they are on a band. */
export const settingsOn = (settings: SettingValues, band: Band): FacetSettings =>
  Object.fromEntries(settingNames.map((name) => [name, settingOn(settings, name, band)])) as unknown as FacetSettings;

/** The settings with one changed; one that is at its default again is left out. */
export function withSetting<K extends SettingName>(
  settings: SettingValues,
  name: K,
  value: Banded<FacetSettings[K]> | FacetSettings[K] | undefined,
): SettingValues {
  const { [name]: _old, ...rest } = settings;
  const fallback = settingDefaults[name];
  const plain = isBanded(name) ? { wide: fallback } : fallback;
  if (value === undefined || JSON.stringify(value) === JSON.stringify(plain)) return rest;
  return { ...rest, [name]: value };
}
