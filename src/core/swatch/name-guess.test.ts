import { readFileSync } from "node:fs";
import colorName from "color-name";
import { describe, expect, it } from "vitest";
import { guessTable, measureGuesses } from "../../../docs/name-guesses.ts";
import { deltaE, lightnessOf } from "./measure.ts";
import { guessByName, otherwise } from "./name-guess.ts";
import { countColours, namesColour } from "./plain-names.ts";

const hexOf = (bytes: readonly number[]) => `#${bytes.map((byte) => byte.toString(16).padStart(2, "0")).join("")}`;
const first = (name: string): string => guessByName(name)?.colours[0] ?? "";

describe("guesses by name", () => {
  it("know every CSS name, whatever the case and spacing", () => {
    // Source: CSS Color Module Level 4, section 6.1; the list is taken from the package color-name.
    expect(Object.keys(colorName)).toHaveLength(148);
    for (const [name, bytes] of Object.entries(colorName).filter(([one]) => !otherwise.has(one))) {
      expect(guessByName(name.toUpperCase())).toMatchObject({ colours: [hexOf(bytes)] });
      expect(guessByName(name)?.confidence).toBeGreaterThanOrEqual(0.95);
    }
    expect(guessByName("Sea green")).toEqual({
      colours: ["#2e8b57"],
      confidence: 0.97,
      reason: "“seagreen” is a CSS name",
    });
    expect(first("dark-slate grey")).toBe("#2f4f4f");
  });

  it("take modifiers for what they do", () => {
    expect(lightnessOf(first("dark burgundy"))).toBeLessThan(lightnessOf(first("burgundy")));
    expect(lightnessOf(first("pale burgundy"))).toBeGreaterThan(lightnessOf(first("burgundy")));
    expect(lightnessOf(first("very dark burgundy"))).toBeLessThan(lightnessOf(first("dark burgundy")));
    expect(guessByName("dusty apricot")?.reason).toBe("“dusty apricot” by common colour names of the trade");
    expect(deltaE(first("off-white"), "#ffffff")).toBeLessThan(12);
    // Greenish blue lies between the two.
    const mixed = first("greenish blue");
    expect(deltaE(mixed, "#008000")).toBeLessThan(deltaE("#0000ff", "#008000"));
  });

  it("part compounds into up to four colours", () => {
    expect(guessByName("Sea green / white")?.colours).toEqual(["#2e8b57", "#ffffff"]);
    expect(guessByName("Yellow and red")?.colours).toEqual(["#ffff00", "#ff0000"]);
    expect(guessByName("red, white & blue")?.colours).toHaveLength(3);
    expect(guessByName("White / nothing known of that")).toBeUndefined();
  });

  it("forgive a letter, and are less sure then", () => {
    const guess = guessByName("Turqoise");
    expect(guess?.confidence).toBeLessThan(0.7);
    expect(guess?.colours).toEqual(["#40e0d0"]);
    expect(guess?.reason).toBe("spelt like “turquoise”");
  });

  it("know other languages and say which", () => {
    for (const [name, near] of [
      ["dunkelgrün", "#006400"],
      ["himmelblau", "#87ceeb"],
      ["rojo", "#ff0000"],
      ["jaune", "#ffff00"],
    ])
      expect(deltaE(first(name), near), name).toBeLessThan(20);
    expect(guessByName("rojo")?.reason).toBe("“rojo” by common colour names of the trade");
    expect(guessByName("sininen")?.reason).toMatch(/Finnish/);
  });

  it("say nothing, or little, of what is not a colour", () => {
    for (const name of ["", "9 cm", "constructor", "__proto__", "/", "Only these 12"])
      expect(guessByName(name)?.confidence ?? 0).toBeLessThan(0.7);
  });

  it("say of what the trade calls otherwise what the trade says", () => {
    for (const [name, near] of [
      ["Plum", "#6b2d5c"],
      ["Khaki", "#8a8457"],
      ["Violet", "#7d4aa8"],
      ["Chocolate", "#4d2d1e"],
    ])
      expect(deltaE(first(name), near), name).toBeLessThan(12);
  });

  it("understand things and modifiers beside a plain colour, in either order and in compounds", () => {
    for (const [name, near] of [
      ["Moosgrün", first("Moos")],
      ["Flaschengrün", first("bottle green")],
      ["vert bouteille", first("bottle green")],
      ["Noir d'ivoire", "#0b0b0b"],
      ["Blaugrau", first("Graublau")],
      ["Vert d’eau", first("verde acqua")],
    ])
      expect(deltaE(first(name), near), name).toBeLessThan(1);
    expect(lightnessOf(first("gris clair"))).toBeGreaterThan(lightnessOf(first("gris")));
    expect(lightnessOf(first("verde scuro"))).toBeLessThan(lightnessOf(first("verde")));
    // “Eulenrot” is some red, and not sure.
    expect(guessByName("Eulenrot")).toMatchObject({ confidence: 0.45, reason: "some rot" });
    for (const name of ["Tiscali", "Bosboom", "Hardtop", "Roter Platz 7", "constructor rot"])
      expect(guessByName(name)?.confidence ?? 0, name).toBeLessThan(0.7);
  });

  it("are as right on names held back as the docs say", () => {
    expect(readFileSync("docs/name-guesses.md", "utf8")).toBe(guessTable());
    // Blind guessing hits a colour within 20 about one time in twenty; the guesses must be far from that.
    const [centroids] = measureGuesses();
    expect(centroids.names).toBeGreaterThan(200);
    expect(centroids.within[3]).toBeGreaterThan(80);
  });
});

it("tells names of colours from others without the long lists", () => {
  for (const name of ["Sage", "Flame red", "Sea green / white", "dark-slate gray"])
    expect(namesColour(name), name).toBe(true);
  for (const name of ["Moonlit", "9 cm", "", "White / Moonlit", "constructor"])
    expect(namesColour(name), name).toBe(false);
});

// Written by hand: how many of the values a person would call colours.
it.each([
  [["schwarz", "Bordeaux", "Silber", "Senfgelb", "schwarz/rot", "Anthrazit", "Weiß", "Petrol"], 8],
  [["noir", "bleu foncé", "vert bouteille", "gris clair"], 4],
  [["negro", "azul marino", "rojo", "blanco y negro"], 4],
  [["zwart", "donkerblauw", "grijs", "wit"], 4],
  [["Aluminium", "Carbon", "Stahl", "Kunststoff", "Leder"], 0],
  [["Eiche", "Nussbaum", "Kiefer", "Buche"], 0],
  [["S", "M", "L", "XL"], 0],
  [["Radwerk", "Nordkette", "Rotfuchs"], 0],
])("of the values %s, %i name colours", (values, count) => {
  expect(countColours(values)).toBe(count);
});
