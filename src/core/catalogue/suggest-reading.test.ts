import { describe, expect, it } from "vitest";
import { readTable } from "./read.ts";
import { suggestReading } from "./suggest-reading.ts";

const reading = (csv: string) => suggestReading(readTable(new TextEncoder().encode(csv)));
const roles = (csv: string) => reading(csv).map(({ as }) => as);

describe("a table without a column of names", () => {
  it("takes short descriptions for its names, as lists of stock have them", () => {
    expect(roles("Symbol,Description,Price\nHEX,Hex bolt 8 mm,1.20\nNUT,Wing nut 8 mm,0.90\n")).toEqual([
      "attribute",
      "title",
      "price",
    ]);
  });

  it("leaves long descriptions, repeated ones, and those beside names as they are", () => {
    const long =
      "A climber for a sunny wall that flowers from May until the first frost and wants little water all year.";
    expect(roles(`Symbol,Description\nA,${long} 1\nB,${long} 2\n`)).toContain("description");
    expect(roles("Symbol,Description\nA,Bolt\nB,Bolt\nC,Bolt\n")).toContain("description");
    expect(roles("Name,Description\nHex bolt,For wood\nWing nut,For metal\n")).toEqual(["title", "description"]);
  });

  it("shows a category that differs on every row as the name, and keeps it as a category", () => {
    expect(reading("code,group,entries\nA,Cereals,24\nB,Grain legumes,25\nC,Leafy vegetables,34\n")[1]).toMatchObject({
      as: "category",
      titles: true,
    });
  });
});

describe("headings of ratings", () => {
  it("are known with a word for who rates", () => {
    expect(roles("Name,Customer Rating\nHex bolt,4\nWing nut,5\n")[1]).toBe("rating");
    expect(roles("Artikelnummer;Bezeichnung;Kundenbewertung\n1;Schraube;4\n2;Mutter;5\n")[2]).toBe("rating");
  });
});
