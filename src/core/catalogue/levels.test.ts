import { describe, expect, it } from "vitest";
import { valuesOf } from "./catalogue.ts";
import { guessLevels } from "./levels.ts";
import { buildCatalogue, readTable } from "./read.ts";
import { cellReader } from "./reading.ts";
import { suggestReading } from "./suggest-reading.ts";

describe("the mark between levels", () => {
  // Answers as a person would give them, written down by hand; common practice, no source.
  it.each([
    [["Clothing / Hoodies", "Clothing / Shirts", "Shoes / Boots"], " / "],
    [["Clothing/Hoodies", "Clothing/Shirts", "Clothing", "Shoes"], "/"],
    [["Clothing>Hoodies", "Shoes>Boots"], ">"],
    [["Home » Lamps", "Garden » Chairs"], "»"],
    [["Home › Lamps", "Home › Chairs"], "›"],
    [["Tools: Saws", "Tools: Saws: Hand saws", "Paint: Wall"], ":"],
    [["Women | Shoes", "Women | Dresses", "Men | Suits"], " | "],
    [["Women / Shoes", "Men / Shoes", "Women / Dresses", "Men / Suits"], " / "],
    // The catalogue’s own writing needs nothing.
    [["Clothing > Hoodies", "Shoes > Boots"], undefined],
    // Names that hold a mark.
    [["Hats/Caps", "Shoes", "Scarves/Gloves"], undefined],
    [["Hoodies", "Shirts"], undefined],
    [["Salt / pepper", "Oil", "Tea / coffee"], undefined],
    // Several values.
    [["Plants | Sale", "Seeds | Sale", "Plants | Gifts", "Seeds | Gifts"], undefined],
    [["Red/Blue", "Blue/Red", "Red/Green", "Green"], undefined],
    [[], undefined],
  ] as const)("of %j is %j", (cells, mark) => expect(guessLevels(cells)).toBe(mark));

  // Kept apart until the guess was done; 8 of 9 were answered as here at first, the ninth is A/C.
  it.each([
    [["Bäume/Obst", "Bäume/Nadel", "Stauden"], "/"],
    [["Audio: Speakers", "Audio: Headphones", "Video: Screens"], ":"],
    [["Bed & bath", "Kitchen"], undefined],
    [["24:7 wear", "Kids"], undefined],
    [["Home→Lamps"], "→"],
    [["A/C units", "A/V gear", "Fans"], undefined],
    [["Women's / Tops / Blouses", "Women's / Tops / Shirts", "Men's / Tops / Shirts"], " / "],
    [["Sale", "New in", "Clothing | Shirts", "Clothing | Hoodies"], " | "],
    [["Wine, red", "Wine, white"], undefined],
  ] as const)("of %j, kept apart, is %j", (cells, mark) => expect(guessLevels(cells)).toBe(mark));

  it("of a spaced slash leaves a slash within a name", () => {
    expect(cellReader({ as: "category", levels: " / " })("Hats/Caps / Wool / ")).toBe("Hats/Caps > Wool");
  });

  it("comes after the one between several values", () => {
    expect(cellReader({ as: "category", levels: ">" })("A>B|A>C")).toBe("A > B|A > C");
    expect(cellReader({ as: "category", levels: ":", separator: ";" })("A: B; C")).toBe("A > B|C");
    expect(cellReader({ as: "category", levels: " | " })("A | B")).toBe("A > B");
  });
});

it("a file with paths in another writing becomes a tree", () => {
  const table = readTable(
    new TextEncoder().encode("title,category\nZip,Clothing / Hoodies\nTee,Clothing / Shirts\nRun,Shoes / Trainers\n"),
  );
  const { catalogue } = buildCatalogue(table, { reading: suggestReading(table) });
  expect(valuesOf(catalogue, "category", 0)).toEqual(["Clothing > Hoodies"]);
  expect(catalogue.fields.find(({ key }) => key === "category")?.kind).toBe("path");
});
