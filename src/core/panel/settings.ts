import { type Banding, bandings } from "../evidence/round-bands.ts";
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
export const captions = ["hint", "beside", "under"] as const;
export type Caption = (typeof captions)[number];
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

/** How a setting's value is chosen, and what it may be. */
export type SettingKind =
  | { kind: "choice"; choices: Readonly<Record<string, string>> }
  | { kind: "yes-no" }
  | { kind: "number"; min: number; max: number; step: number; unit: string; none?: string }
  | { kind: "text"; longest: number }
  | { kind: "numbers"; most: number };

/** One setting: what the designer reads, what it is until it is changed, and whether each band can have its own. */
export type SettingDefinition<T> = SettingKind & {
  label: string;
  /** What it does, in a few words. */
  about: string;
  fallback: T;
  banded: boolean;
};

const choice = <T extends string>(
  label: string,
  about: string,
  fallback: NoInfer<T>,
  choices: Record<T, string>,
  banded = false,
): SettingDefinition<T> => ({
  kind: "choice",
  label,
  about,
  fallback,
  choices,
  banded,
});
const yesNo = (label: string, about: string, fallback: boolean, banded = false): SettingDefinition<boolean> => ({
  kind: "yes-no",
  label,
  about,
  fallback,
  banded,
});
const text = (label: string, about: string, longest: number): SettingDefinition<string> => ({
  kind: "text",
  label,
  about,
  fallback: "",
  longest,
  banded: false,
});

/** Every setting of a facet. A display says which of them it heeds; adding one here is all that the lattice needs to offer it. */
export const facetSettings: { readonly [K in SettingName]: SettingDefinition<FacetSettings[K]> } = {
  title: yesNo("Title", "Shown above the options; always there for screen readers", true),
  start: choice("Starts", "Whether shoppers find it open", "open", { open: "open", folded: "folded", fixed: "cannot fold" }),
  hint: text("Hint", "Shown on hover and focus of the title", 200),
  clearLink: yesNo("Own clear", "A link that clears this facet alone", false),
  share: choice("Width", "Its share of the panel's width", "auto", { auto: "auto", full: "full", half: "½", third: "⅓", quarter: "¼" }, true),
  counting: choice("Counts", "The number beside an option", "live", { none: "none", steady: "steady", live: "live" }),
  deadEnd: choice("Leads nowhere", "What becomes of options that find nothing", "fade", { keep: "keep", fade: "fade", drop: "drop" }),
  order: choice("Order", "Which option stands first", "count", { count: "by count", name: "by name", natural: "natural", hand: "by hand" }),
  searchInside: yesNo("Search inside", "A field that narrows the options by name", false, true),
  foldAfter: {
    kind: "number",
    label: "Fold after",
    about: "Options shown before “show all”",
    fallback: 8,
    min: 0,
    max: 1000,
    step: 1,
    unit: "options",
    none: "never",
    banded: true,
  },
  maxHeight: {
    kind: "number",
    label: "Height limit",
    about: "Beyond it the options scroll by themselves",
    fallback: 0,
    min: 0,
    max: 2000,
    step: 20,
    unit: "px",
    none: "none",
    banded: true,
  },
  columns: {
    kind: "number",
    label: "Columns",
    about: "Options side by side",
    fallback: 1,
    min: 1,
    max: 3,
    step: 1,
    unit: "",
    banded: true,
  },
  flow: choice("Flow", "One under the other, or one beside the other", "column", { column: "column", row: "row" }, true),
  caption: choice("Text", "Where an option's text stands", "hint", { hint: "on hover", beside: "beside", under: "under" }, true),
  nested: yesNo("Nested", "Categories within categories; flat lists the last level only", true),
  ends: choice("Ends", "Where the scale begins and stops", "steady", { steady: "of the page", live: "live", typed: "typed" }),
  least: {
    kind: "number",
    label: "Least",
    about: "Where a typed scale begins",
    fallback: null,
    min: -1e12,
    max: 1e12,
    step: 1,
    unit: "",
    banded: false,
  },
  most: {
    kind: "number",
    label: "Most",
    about: "Where a typed scale stops",
    fallback: null,
    min: -1e12,
    max: 1e12,
    step: 1,
    unit: "",
    banded: false,
  },
  step: {
    kind: "number",
    label: "Step",
    about: "From stop to stop; a round one is found by itself",
    fallback: 0,
    min: 0,
    max: 1e9,
    step: 1,
    unit: "",
    none: "round",
    banded: false,
  },
  prefix: text("Prefix", "In front of each number", 20),
  suffix: text("Suffix", "Behind each number", 20),
  decimals: { kind: "number", label: "Decimals", about: "Digits behind the point", fallback: null, min: 0, max: 6, step: 1, unit: "", banded: false },
  bubbles: yesNo("Bubbles", "The value above a handle while it is dragged", true),
  values: yesNo("Values", "The chosen ends in words", true),
  histogram: yesNo("Histogram", "Where the products lie", true, true),
  scale: choice("Scale", "Bent gives low values more room", "even", { even: "even", bent: "bent" }),
  banding: choice("Bands", "Equal in products, equal in width, or typed limits", "products", {
    products: "by products",
    width: "by width",
    typed: "typed",
  } satisfies Record<Banding | "typed", string>),
  bandCount: {
    kind: "number",
    label: "How many",
    about: "About so many bands, with round limits",
    fallback: 5,
    min: 2,
    max: 12,
    step: 1,
    unit: "",
    banded: false,
  },
  bandLimits: { kind: "numbers", label: "Limits", about: "Numbers between the bands, parted by spaces", fallback: [], most: 30, banded: false },
};

/** Settings that are not at their default. One that can differ by band says so for each band that it is set on. */
export type SettingValues = { [K in SettingName]?: Banded<FacetSettings[K]> | FacetSettings[K] };

export const settingNames = Object.keys(facetSettings) as SettingName[];

export const isBanded = (name: SettingName): boolean => facetSettings[name].banded;

/** The setting that holds on a band. */
export function settingOn<K extends SettingName>(settings: SettingValues, name: K, band: Band): FacetSettings[K] {
  const given = settings[name];
  if (given === undefined) return facetSettings[name].fallback as FacetSettings[K];
  return isBanded(name) ? resolve(given as Banded<FacetSettings[K]>, band) : (given as FacetSettings[K]);
}

/** A setting as it is on every band, at its default where it is not set. */
export function bandedSetting<K extends SettingName>(settings: SettingValues, name: K): Banded<FacetSettings[K]> {
  return (settings[name] as Banded<FacetSettings[K]> | undefined) ?? { wide: facetSettings[name].fallback as FacetSettings[K] };
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
  const fallback = facetSettings[name].fallback;
  const plain = isBanded(name) ? { wide: fallback } : fallback;
  if (value === undefined || JSON.stringify(value) === JSON.stringify(plain)) return rest;
  return { ...rest, [name]: value };
}

export const bandingNames: readonly (Banding | "typed")[] = [...bandings, "typed"];
