import { defaultOf, isBanded, type SettingName } from "./settings.ts";

/** How a setting's value is chosen, and its possible values. */
export type SettingKind =
  | { kind: "choice"; choices: Readonly<Record<string, string>> }
  | { kind: "yes-no" }
  | { kind: "number"; min: number; max: number; step: number; unit: string; none?: string; unset?: string }
  | { kind: "text"; longest: number }
  | { kind: "numbers"; most: number }
  /** A text in other languages, by BCP 47 tag. */
  | { kind: "words"; longest: number }
  /** Address of a picture. */
  | { kind: "picture" };

/** A setting: its label, its default, and whether it differs by band. */
export type SettingDefinition = SettingKind & {
  label: string;
  /** Its effect, in a few words. */
  about: string;
  fallback: unknown;
  banded: boolean;
};

/** A setting's words, without its default and banding, which are looked up by name. */
type Said = SettingKind & { label: string; about: string };

const choice = <T extends string>(label: string, about: string, choices: Record<T, string>): Said => ({
  kind: "choice",
  label,
  about,
  choices,
});
const yesNo = (label: string, about: string): Said => ({ kind: "yes-no", label, about });
const text = (label: string, about: string, longest: number): Said => ({ kind: "text", label, about, longest });

const said: { readonly [K in SettingName]: Said } = {
  title: yesNo("Title", "Shown above the options; always there for screen readers"),
  start: choice("At first", "Open or folded when the page loads", {
    open: "open",
    folded: "folded",
    fixed: "can’t fold",
  }),
  hint: text("Hint", "Shown on hover and focus of the title", 200),
  chosenCount: yesNo("Number chosen", "How many options are chosen, beside the title, folded or open"),
  clearLink: yesNo("Clear link", "A link that clears this facet alone"),
  share: choice("Width", "Its share of the panel’s width", {
    auto: "auto",
    full: "full",
    half: "½",
    third: "⅓",
    quarter: "¼",
  }),
  counting: choice("Counts", "The number beside an option", { none: "none", steady: "steady", live: "live" }),
  emptyOptions: choice("Empty options", "What happens to options that match no products", {
    keep: "keep",
    fade: "fade",
    drop: "hide",
  }),
  order: choice("Sort order", "Which option comes first", {
    count: "by count",
    name: "by name",
    natural: "natural",
    hand: "by hand",
  }),
  searchInside: yesNo("Search inside", "A search field above the options"),
  foldAfter: {
    kind: "number",
    label: "Fold after",
    about: "How many options are shown before “show all”",
    min: 0,
    max: 1000,
    step: 1,
    unit: "options",
    none: "never",
  },
  maxHeight: {
    kind: "number",
    label: "Height limit",
    about: "Longer lists scroll inside the facet",
    min: 0,
    max: 2000,
    step: 20,
    unit: "px",
    none: "none",
  },
  columns: {
    kind: "number",
    label: "Columns",
    about: "Options side by side",
    min: 1,
    max: 3,
    step: 1,
    unit: "",
  },
  flow: choice("Direction", "Options in a column or in a row", { column: "column", row: "row" }),
  caption: choice("Label position", "Where an option’s text appears", {
    hint: "on hover",
    on: "on it",
    beside: "beside",
    under: "under",
  }),
  shape: choice("Shape", "Round or square swatches", { look: "look’s default", round: "round", square: "square" }),
  size: {
    kind: "number",
    label: "Size",
    about: "Width and height of a swatch",
    min: 16,
    max: 96,
    step: 2,
    unit: "px",
    unset: "look",
  },
  gap: {
    kind: "number",
    label: "Gap",
    about: "Space between swatches",
    min: 0,
    max: 40,
    step: 2,
    unit: "px",
    unset: "look",
  },
  edge: choice("Outline", "Around swatches too pale to see, around all, or around none", {
    auto: "where needed",
    all: "all",
    none: "none",
  }),
  nested: yesNo("Nested", "Categories within categories; flat lists the last level only"),
  ends: choice("Limits", "Where the scale starts and ends", {
    steady: "all products",
    live: "current results",
    typed: "typed",
  }),
  min: {
    kind: "number",
    label: "Minimum",
    about: "Where a typed scale starts",
    min: -1e12,
    max: 1e12,
    step: 1,
    unit: "",
  },
  max: {
    kind: "number",
    label: "Maximum",
    about: "Where a typed scale ends",
    min: -1e12,
    max: 1e12,
    step: 1,
    unit: "",
  },
  step: {
    kind: "number",
    label: "Step",
    about: "Distance between stops; “round” picks one for you",
    min: 0,
    max: 1e9,
    step: 1,
    unit: "",
    none: "round",
  },
  prefix: text("Prefix", "Text before each number, such as €", 20),
  suffix: text("Suffix", "Text after each number, such as cm", 20),
  decimals: {
    kind: "number",
    label: "Decimals",
    about: "Digits after the decimal point",
    min: 0,
    max: 6,
    step: 1,
    unit: "",
  },
  bubbles: yesNo("Bubbles", "The value above a handle while it is dragged"),
  values: yesNo("Values", "The chosen range as text"),
  histogram: yesNo("Histogram", "Bars that show how many products have each value"),
  scale: choice("Scale", "More space for low values when a few are very high", {
    even: "even",
    bent: "more space for low values",
  }),
  rangeBy: choice("Ranges", "Equal numbers of products, equal widths, or your own limits", {
    products: "by products",
    width: "by width",
    typed: "typed",
  }),
  rangeCount: {
    kind: "number",
    label: "Number of ranges",
    about: "Roughly; limits are rounded",
    min: 2,
    max: 12,
    step: 1,
    unit: "",
  },
  rangeLimits: {
    kind: "numbers",
    label: "Range limits",
    about: "Where ranges meet: numbers separated by spaces",
    most: 30,
  },
};

/** The definition of a facet's setting. A display lists the settings it supports. */
export const settingDefinition = (name: SettingName): SettingDefinition => ({
  ...said[name],
  fallback: defaultOf(name),
  banded: isBanded(name),
});
