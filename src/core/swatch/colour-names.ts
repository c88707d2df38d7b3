import { colornames } from "color-name-list/bestof";
import survey from "color-name-lists/dist/colorlists.json" with { type: "json" };
import { colorsNamed, formatHex, parse } from "culori";
import { tradeColours } from "./plain-names.ts";

/** The source of a name, and the confidence in it. */
export interface NamedColour {
  hex: string;
  name: string;
  list: string;
  confidence: number;
}

/** A name for lookup, without case, accents, spaces and hyphens. */
export const nameKey = (text: string): string =>
  text
    .normalize("NFD")
    .replace(/\p{M}/gu, "")
    .toLowerCase()
    .replaceAll("grey", "gray")
    .replace(/[^\p{L}\p{N}]+/gu, "");

/** Languages with a list of popular colour names, besides lists of named shades. */
const languages = [
  "german",
  "dutch",
  "french",
  "spanish",
  "portuguese",
  "swedish",
  "polish",
  "finnish",
  "romanian",
  "russian",
  "persian",
  "korean",
  "chinese",
];
const nuances = ["german", "french", "spanish", "hindi"];

/** The survey's lists by language, each of names with their colours. */
export type ColourLists = Readonly<Record<string, readonly { name: string; hex: string }[]>>;

/** Confidence in a name defined by a standard. Nothing guessed is certain: a shop's violet may differ. */
export const standardConfidence = 0.97;

let known: Map<string, NamedColour> | undefined;

/**
 * All known colour names, by {@link nameKey}; the first list with a name counts. Sources: CSS Color Module Level 4;
 * the open lists of the packages color-name-lists (a survey of English names, and of thirteen other languages) and
 * color-name-list.
 */
export function colourNames(): ReadonlyMap<string, NamedColour> {
  if (known) return known;
  const names = new Map<string, NamedColour>();
  const put = (name: string, hex: string, list: string, confidence: number) => {
    const key = nameKey(name);
    if (key !== "" && !names.has(key)) names.set(key, { hex, name, list, confidence });
  };
  for (const name of Object.keys(colorsNamed))
    put(name, formatHex(parse(name)) ?? "#000000", "a CSS name", standardConfidence);
  for (const [name, hex] of Object.entries(tradeColours)) put(name, hex, "a common colour name of the trade", 0.95);
  const all: ColourLists = survey.lists;
  for (const { name, hex } of all.xkcd ?? []) put(name, hex, "a name from a survey", 0.9);
  for (const language of languages)
    for (const { name, hex } of all[`mlmc_${language}`] ?? []) put(name, hex, `${capital(language)}`, 0.85);
  for (const language of nuances)
    for (const { name, hex } of all[language] ?? []) put(name, hex, `${capital(language)}, a named shade`, 0.75);
  for (const { name, hex } of colornames) put(name, hex, "a list of fancy names", 0.55);
  known = names;
  return names;
}

const capital = (text: string): string => text.slice(0, 1).toUpperCase() + text.slice(1);
