/** Writes docs/name-guesses.md: how well colours are guessed by names that the code does not contain: `npm run docs`. */
import { writeFileSync } from "node:fs";
import { pathToFileURL } from "node:url";
import survey from "color-name-lists/dist/colorlists.json" with { type: "json" };
import { type ColourLists, colourNames, nameKey } from "../src/core/swatch/colour-names.ts";
import { deltaE } from "../src/core/swatch/measure.ts";
import { guessByName } from "../src/core/swatch/name-guess.ts";
import { minConfidence } from "../src/core/swatch/view.ts";

/** Lists of the package color-name-lists that the guesses do not read. */
const otherParameters = [
  ["nbsIscc", "NBS-ISCC centroids (Kelly and Judd, 1976)"],
  ["werner", "Werner's nomenclature (1821)"],
] as const;
const limits = [5, 10, 15, 20];

export interface Held {
  list: string;
  /** Names of the list that no list of ours has, and how many of them got a guess. */
  names: number;
  guessed: number;
  /** Share of the guesses within each limit, in per cent; the same for guesses that shoppers would see by themselves. */
  within: number[];
  sure: number;
  sureWithin: number[];
}

export function measureGuesses(): Held[] {
  const ours = colourNames();
  const lists = survey.lists as ColourLists;
  return otherParameters.map(([key, list]) => {
    const names = lists[key].filter(({ name }) => !ours.has(nameKey(name)));
    const judged = names.flatMap(({ name, hex }) => {
      const guess = guessByName(name);
      return guess ? [{ apart: deltaE(guess.colours[0], hex), sure: guess.confidence >= minConfidence }] : [];
    });
    const shares = (of: typeof judged) =>
      limits.map((limit) => Math.round((of.filter(({ apart }) => apart <= limit).length / of.length) * 100));
    const sure = judged.filter((one) => one.sure);
    return {
      list,
      names: names.length,
      guessed: judged.length,
      within: shares(judged),
      sure: sure.length,
      sureWithin: shares(sure),
    };
  });
}

export function guessTable(): string {
  const row = (cells: readonly (string | number)[]) => `| ${cells.join(" | ")} |`;
  const share = (all: number[], sure: number[], i: number) => `${all[i]} / ${sure[i]}`;
  return `${[
    "# Colours guessed by names",
    "",
    "Names of two open lists (npm package color-name-lists) that the guesses do not read, without those names that a list which they do read also has.",
    "The right colour is the list's own. Two figures: all guesses / guesses of a confidence of 70 % and more, which shoppers see without being asked.",
    "Written by `npm run docs`, held by a test.",
    "",
    row(["List", "Names held back", "Guessed", ...limits.map((limit) => `ΔE00 to ${limit}, %`)]),
    row(["---", ...Array.from({ length: 2 + limits.length }, () => "---:")]),
    ...measureGuesses().map(({ list, names, guessed, within, sure, sureWithin }) =>
      row([list, names, `${guessed} / ${sure}`, ...limits.map((_, i) => share(within, sureWithin, i))]),
    ),
    "",
  ].join("\n")}`;
}

if (import.meta.url === pathToFileURL(process.argv[1] ?? "").href) writeFileSync("docs/name-guesses.md", guessTable());
