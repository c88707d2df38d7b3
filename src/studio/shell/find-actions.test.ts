import { describe, expect, it } from "vitest";
import { findByWords } from "./find-actions.ts";

const names = [
  "Light: columns",
  "Flower colour: columns",
  "Add Light",
  "Show Light as check boxes on wide",
  "Settings of Light",
  "Go to the catalogue",
  "Place the panel on slim: drawer",
];
const find = (asked: string) => findByWords(names, (name) => name, asked);

describe("finding an action by its words", () => {
  it("takes them in any order, in part, and with a letter wrong", () => {
    expect(find("columns light")[0]).toBe("Light: columns");
    expect(find("catlogue")).toEqual(["Go to the catalogue"]);
    expect(find("drawer slim")).toEqual(["Place the panel on slim: drawer"]);
    expect(find("flow col")[0]).toBe("Flower colour: columns");
    expect(find("zzz")).toEqual([]);
    expect(find("  ")).toEqual(names);
  });

  it("does not take letters that merely follow one another somewhere", () => {
    expect(findByWords(["Rainy days", "Tie-dye", "Dyed wool"], (name) => name, "dye")).toEqual([
      "Tie-dye",
      "Dyed wool",
    ]);
    expect(findByWords(["Modern yew hedge"], (name) => name, "dye")).toEqual([]);
  });

  it("puts what begins with the words first", () => {
    expect(find("light")[0]).toBe("Light: columns");
    expect(find("add")[0]).toBe("Add Light");
  });
});
