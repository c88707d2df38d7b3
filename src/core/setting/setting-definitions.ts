import { fallbackOf, isBanded, type SettingName } from "./settings.ts";

/** How a setting's value is chosen, and what it may be. */
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

/** One setting: what the designer reads, what it is until it is changed, and whether each band can have its own. */
export type SettingDefinition = SettingKind & {
  label: string;
  /** What it does, in a few words. */
  about: string;
  fallback: unknown;
  banded: boolean;
};

/** What is said of a setting beside its default and whether it is banded, which its name tells. */
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
  start: choice("Starts", "Whether shoppers find it open", { open: "open", folded: "folded", fixed: "cannot fold" }),
  hint: text("Hint", "Shown on hover and focus of the title", 200),
  chosenCount: yesNo("Number chosen", "How many options are chosen, beside the title, folded or open"),
  clearLink: yesNo("Own clear", "A link that clears this facet alone"),
  share: choice("Width", "Its share of the panel's width", {
    auto: "auto",
    full: "full",
    half: "½",
    third: "⅓",
    quarter: "¼",
  }),
  counting: choice("Counts", "The number beside an option", { none: "none", steady: "steady", live: "live" }),
  deadEnd: choice("Finds nothing", "What becomes of options that no product fits now", {
    keep: "keep",
    fade: "fade",
    drop: "drop",
  }),
  order: choice("Order", "Which option stands first", {
    count: "by count",
    name: "by name",
    natural: "natural",
    hand: "by hand",
  }),
  searchInside: yesNo("Search inside", "A field that narrows the options by name"),
  foldAfter: {
    kind: "number",
    label: "Fold after",
    about: "Options shown before “show all”",
    min: 0,
    max: 1000,
    step: 1,
    unit: "options",
    none: "never",
  },
  maxHeight: {
    kind: "number",
    label: "Height limit",
    about: "Beyond it the options scroll by themselves",
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
  flow: choice("Flow", "One under the other, or one beside the other", { column: "column", row: "row" }),
  caption: choice("Text", "Where an option's text stands", {
    hint: "on hover",
    on: "on it",
    beside: "beside",
    under: "under",
  }),
  shape: choice("Shape", "What a swatch looks like", { look: "as the look", round: "round", square: "square" }),
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
    about: "Room between swatches",
    min: 0,
    max: 40,
    step: 2,
    unit: "px",
    unset: "look",
  },
  edge: choice("Outline", "Around swatches that would vanish on the ground, around all, or none", {
    auto: "where needed",
    all: "all",
    none: "none",
  }),
  nested: yesNo("Nested", "Categories within categories; flat lists the last level only"),
  ends: choice("Ends", "Where the scale begins and stops", {
    steady: "all products",
    live: "what is left",
    typed: "typed",
  }),
  least: {
    kind: "number",
    label: "Least",
    about: "Where a typed scale begins",
    min: -1e12,
    max: 1e12,
    step: 1,
    unit: "",
  },
  most: {
    kind: "number",
    label: "Most",
    about: "Where a typed scale stops",
    min: -1e12,
    max: 1e12,
    step: 1,
    unit: "",
  },
  step: {
    kind: "number",
    label: "Step",
    about: "From stop to stop; a round one is found by itself",
    min: 0,
    max: 1e9,
    step: 1,
    unit: "",
    none: "round",
  },
  prefix: text("Prefix", "In front of each number", 20),
  suffix: text("Suffix", "Behind each number", 20),
  decimals: { kind: "number", label: "Decimals", about: "Digits behind the point", min: 0, max: 6, step: 1, unit: "" },
  bubbles: yesNo("Bubbles", "The value above a handle while it is dragged"),
  values: yesNo("Values", "The chosen ends in words"),
  histogram: yesNo("Histogram", "Where the products lie"),
  scale: choice("Scale", "Low values get more room where a few are far above", {
    even: "even",
    bent: "more room low down",
  }),
  rangeBy: choice("Ranges", "Equal in products, equal in width, or typed limits", {
    products: "by products",
    width: "by width",
    typed: "typed",
  }),
  rangeCount: {
    kind: "number",
    label: "How many",
    about: "About so many ranges, with round limits",
    min: 2,
    max: 12,
    step: 1,
    unit: "",
  },
  rangeLimits: { kind: "numbers", label: "Limits", about: "Numbers between the ranges, parted by spaces", most: 30 },
};

/** What is said of a setting in the lattice. A display says which of them it heeds. */
export const settingDefinition = (name: SettingName): SettingDefinition => ({
  ...said[name],
  fallback: fallbackOf(name),
  banded: isBanded(name),
});
