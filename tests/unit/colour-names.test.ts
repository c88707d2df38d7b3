import survey from "color-name-lists/dist/colorlists.json" with { type: "json" };
import { describe, expect, it } from "vitest";
import type { ColourLists } from "../../src/core/swatch/colour-names.ts";
import { deltaE } from "../../src/core/swatch/measure.ts";
import { guessByName } from "../../src/core/swatch/name-guess.ts";
import { tradeGuess } from "../../src/core/swatch/trade-guess.ts";
import { minConfidence } from "../../src/core/swatch/view.ts";
import { type ExpectedColour, expectedColours, firstColours, rarerColours } from "./colour-names.answers.ts";

/** Colour differences (CIEDE2000) up to which a guess is right, and beyond which it is wrong; set before anything was measured. */
const right = 20;
const wrong = 30;

function judged(names: readonly Pick<ExpectedColour, "name" | "hex">[], guess = guessByName) {
  const shares = { right: 0, near: 0, wrong: 0, unset: 0 };
  for (const { name, hex } of names) {
    const found = guess(name);
    const [colour] = found?.colours ?? [];
    const apart = colour === undefined ? Number.POSITIVE_INFINITY : deltaE(colour, hex);
    shares[
      !found || found.confidence < minConfidence
        ? "unset"
        : apart <= right
          ? "right"
          : apart <= wrong
            ? "near"
            : "wrong"
    ]++;
  }
  return Object.fromEntries(Object.entries(shares).map(([what, count]) => [what, count / names.length]));
}

describe("colours by names in six languages", () => {
  it.each([
    ["looked at", expectedColours.filter(({ apart }) => !apart)],
    ["kept apart", expectedColours.filter(({ apart }) => apart)],
    ["rarer ones, kept apart", rarerColours],
  ])("are right for three of four at least, and wrong for one of twenty at most: %s", (_, names) => {
    const { right: hit, wrong: missed } = judged(names);
    expect(names.length).toBeGreaterThan(100);
    expect(hit).toBeGreaterThanOrEqual(0.75);
    expect(missed).toBeLessThanOrEqual(0.05);
  });

  it("are right for nine of ten of the names that shops write first, of which none is wrong", () => {
    expect(firstColours).toHaveLength(60);
    const { right: hit, wrong: missed } = judged(firstColours);
    expect(hit).toBeGreaterThanOrEqual(0.9);
    expect(missed).toBe(0);
  });

  // Source: the lists of color-name-lists after “Many languages, many colors”, names that people gave to colours in a survey.
  it("are what people of four languages called colours in a survey, by the words of the trade alone", () => {
    const lists = survey.lists as ColourLists;
    const names = ["german", "french", "spanish", "dutch"].flatMap((language) => lists[`mlmc_${language}`] ?? []);
    const { right: hit, wrong: missed } = judged(names, (name) => (tradeGuess(name) ? guessByName(name) : undefined));
    expect(names.length).toBeGreaterThan(150);
    expect(hit).toBeGreaterThanOrEqual(0.75);
    expect(missed).toBeLessThanOrEqual(0.05);
  });
});
