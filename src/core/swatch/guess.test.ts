import { describe, expect, it } from "vitest";
import { guessColour } from "./guess.ts";

describe("colours from names", () => {
  // Source: CSS Color Module Level 4, section 6.1, named colours.
  it("takes the names of the CSS list, whatever the case and spacing", () => {
    expect(guessColour("Sea green")).toEqual(["#2e8b57"]);
    expect(guessColour("RebeccaPurple")).toEqual(["#663399"]);
    expect(guessColour("dark-slate grey")).toEqual(["#2f4f4f"]);
  });

  it("parts compounds and gives the family of a name that it does not know", () => {
    expect(guessColour("Sea green / white")).toEqual(["#2e8b57", "#ffffff"]);
    expect(guessColour("Yellow and red")).toEqual(["#ffff00", "#ff0000"]);
    expect(guessColour("Flame red")).toEqual(["#ff0000"]);
  });

  it("says nothing rather than something wrong", () => {
    for (const name of ["Moonlit", "Ember", "", "9 cm", "Mixed", "White / Moonlit", "constructor"]) expect(guessColour(name)).toBeUndefined();
  });
});
