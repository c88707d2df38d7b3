import { isNumeric } from "../catalogue/field-kinds.ts";
import type { FieldRole } from "../catalogue/field-names.ts";
import type { Field } from "../catalogue/field-schema.ts";
import { defaultTolerance } from "../profile/answers.ts";
import { operatorSeconds } from "./operators.ts";

/** Something assumed about shoppers, which the designer can read and change. */
export interface Assumption {
  words: string;
  /** Reason for its default. */
  why: string;
  fallback: number;
  min: number;
  max: number;
  /** A share is shown in percent. */
  unit: "" | "s" | "share" | "px";
}

const practice = "Common practice, no source.";
const paper = "Card, Moran and Newell (1980).";
const eye = "Card, Moran and Newell (1983): one movement of the eye takes 0.23 s.";

/** Everything assumed about shoppers. */
export const assumptionList = {
  known: {
    words: "How much shoppers know, compared with the default",
    why: practice,
    fallback: 1,
    min: 0,
    max: 4,
    unit: "share",
  },
  first: {
    words: "How many products a shopper looks at first",
    why: practice,
    fallback: 8,
    min: 1,
    max: 100,
    unit: "",
  },
  maxMoves: { words: "Choices after which a shopper gives up", why: practice, fallback: 8, min: 1, max: 50, unit: "" },
  maxSeconds: {
    words: "Seconds after which a shopper gives up",
    why: practice,
    fallback: 120,
    min: 5,
    max: 3600,
    unit: "s",
  },
  mistaken: {
    words: "Share of what shoppers know that is wrong",
    why: practice,
    fallback: 0.05,
    min: 0,
    max: 1,
    unit: "share",
  },
  near: {
    words: "How far a known number may be off",
    why: practice,
    fallback: defaultTolerance,
    min: 0,
    max: 2,
    unit: "share",
  },
  press: {
    words: "To press a key or a button (K)",
    why: paper,
    fallback: operatorSeconds.K,
    min: 0,
    max: 10,
    unit: "s",
  },
  point: { words: "To point at something (P)", why: paper, fallback: operatorSeconds.P, min: 0, max: 10, unit: "s" },
  home: {
    words: "To move the hands to the keys or back (H)",
    why: paper,
    fallback: operatorSeconds.H,
    min: 0,
    max: 10,
    unit: "s",
  },
  mind: {
    words: "To decide before a choice (M)",
    why: paper,
    fallback: operatorSeconds.M,
    min: 0,
    max: 10,
    unit: "s",
  },
  tap: {
    words: "To tap something with the thumb, on phones and tablets",
    why: "Fitts’ law with about 7 bits a second, MacKenzie (2015), from memory: a target of 44 px that is 300 px away.",
    fallback: 0.43,
    min: 0,
    max: 10,
    unit: "s",
  },
  type: {
    words: "To type a character with the thumb",
    why: "36 words a minute, Palin and others (2019), How do people type on mobile devices?, from memory.",
    fallback: 0.33,
    min: 0,
    max: 10,
    unit: "s",
  },
  read: { words: "To read a title or an option", why: eye, fallback: 0.23, min: 0, max: 10, unit: "s" },
  look: {
    words: "To look at a product’s card",
    why: `Two movements of the eye. ${eye}`,
    fallback: 0.46,
    min: 0,
    max: 10,
    unit: "s",
  },
  scroll: { words: "To scroll by a screen", why: practice, fallback: 0.8, min: 0, max: 10, unit: "s" },
} as const satisfies Record<string, Assumption>;

export type AssumptionName = keyof typeof assumptionList;
export const assumptionNames = Object.keys(assumptionList) as AssumptionName[];

/** Shares of shoppers who know the value of the product they want, by the field's role. Common practice, no source. */
const knowing: Partial<Record<FieldRole | "option" | "number", number>> = {
  category: 0.8,
  type: 0.7,
  brand: 0.3,
  tags: 0.2,
  price: 0.5,
  rating: 0.15,
  reviews: 0.05,
  availability: 0.4,
  on_sale: 0.15,
  published: 0.05,
  // Nobody knows these before seeing the product.
  product_id: 0,
  sku: 0,
  image: 0,
  description: 0,
  option: 0.4,
  number: 0.25,
};

/** The assumptions that differ from the default. */
export interface Assumptions {
  values: Readonly<Partial<Record<AssumptionName, number>>>;
  /** By field key, the share of shoppers who know the value of the product they want. */
  knows: Readonly<Record<string, number>>;
}

/** The default assumptions. */
export const defaultAssumptions: Assumptions = { values: {}, knows: {} };

/** The assumptions as numbers. */
export const assumed = ({ values }: Assumptions): Record<AssumptionName, number> =>
  Object.fromEntries(assumptionNames.map((name) => [name, values[name] ?? assumptionList[name].fallback])) as Record<
    AssumptionName,
    number
  >;

/** The share of shoppers who know a field's value of the product they want, before the overall adjustment. */
export function statedShare({ key, role, kind }: Pick<Field, "key" | "role" | "kind">, { knows }: Assumptions): number {
  const set = Object.hasOwn(knows, key) ? knows[key] : undefined;
  return set ?? knowing[role] ?? knowing[isNumeric({ kind }) ? "number" : "option"] ?? 0;
}

/** The share of shoppers who know a field's value of the product they want. */
export const knownShare = (field: Pick<Field, "key" | "role" | "kind">, assumptions: Assumptions): number =>
  Math.min(1, statedShare(field, assumptions) * (assumptions.values.known ?? assumptionList.known.fallback));
