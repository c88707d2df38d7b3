import { colornames } from "color-name-list/bestof";
import survey from "color-name-lists/dist/colorlists.json" with { type: "json" };
import { colorsNamed, formatHex, parse } from "culori";
import { tradeColours } from "./plain-names.ts";

/** Where a name is from, and how far it is to be trusted. */
export interface NamedColour {
  hex: string;
  name: string;
  list: string;
  confidence: number;
}

/** A name as it is looked up: case, accents, spaces and hyphens folded away. */
export const nameKey = (text: string): string =>
  text
    .normalize("NFD")
    .replace(/\p{M}/gu, "")
    .toLowerCase()
    .replaceAll("grey", "gray")
    .replace(/[^\p{L}\p{N}]+/gu, "");

/** Languages of which there is a list of the names that people give to colours, beside lists of named shades. */
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

/** The survey's lists by name, each of names with their colours. */
export type ColourLists = Readonly<Record<string, readonly { name: string; hex: string }[]>>;

/** Of a name that a standard defines. Nothing that is guessed is certain: a shop's violet may be another. */
export const standardConfidence = 0.97;

let known: Map<string, NamedColour> | undefined;

/**
 * All colour names that are known, by {@link nameKey}; the first list that has a name counts. Sources: CSS
 * Color Module Level 4; the open lists of the packages color-name-lists (a survey of English names, and
 * of thirteen other languages) and color-name-list.
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
