import { describe, expect, it } from "vitest";
import type { Selection } from "./question.ts";
import { emptySelection, fitSelection, isEmpty, toggle, withChoice } from "./selection.ts";

const chosen = (...options: string[]): Selection => ({ text: "", choices: { colour: { options } } });
const colour = (mode: "any" | "all" | "one" | "tree") => ({ field: "colour", mode });

describe("choosing", () => {
  it("takes options in and out, and leaves no empty choice behind", () => {
    const red = toggle(emptySelection, colour("any"), "red");
    expect(red).toEqual(chosen("red"));
    expect(toggle(red, colour("any"), "blue")).toEqual(chosen("red", "blue"));
    expect(toggle(red, colour("any"), "red")).toEqual(emptySelection);
    expect(emptySelection).toEqual({ choices: {}, text: "" });
  });

  it("replaces the one option of a one-of facet", () => {
    expect(toggle(chosen("red"), colour("one"), "blue")).toEqual(chosen("blue"));
    expect(toggle(chosen("red"), colour("one"), "red")).toEqual(emptySelection);
  });

  it("takes the place of the categories above and below, and of no other", () => {
    expect(toggle(chosen("a > b", "c", "ab"), colour("tree"), "a")).toEqual(chosen("c", "ab", "a"));
    expect(toggle(chosen("a", "c"), colour("tree"), "a > b")).toEqual(chosen("c", "a > b"));
  });

  it("keeps a field at its place while its choice changes", () => {
    const two = withChoice(chosen("red"), "price", { min: 2 });
    expect(Object.keys(withChoice(two, "colour", { options: ["blue"] }).choices)).toEqual(["colour", "price"]);
    expect(withChoice(two, "price", { min: undefined, max: undefined })).toEqual(chosen("red"));
    expect(withChoice(two, "price", undefined)).toEqual(chosen("red"));
  });

  it("knows when nothing is chosen", () => {
    expect(isEmpty(emptySelection)).toBe(true);
    expect(isEmpty({ choices: {}, text: " " })).toBe(true);
    expect(isEmpty({ choices: {}, text: "rose" })).toBe(false);
    expect(isEmpty(chosen("red"))).toBe(false);
  });
});

describe("fitting a selection to changed facets", () => {
  it("drops what has no meaning any more", () => {
    const all: Selection = {
      text: "rose",
      choices: { colour: { options: ["red", "blue"] }, price: { min: 1 }, size: { options: ["s"] } },
    };
    expect(
      fitSelection(all, [
        { field: "colour", mode: "one" },
        { field: "price", mode: "any" },
      ]),
    ).toEqual({ text: "rose", choices: { colour: { options: ["red"] } } });
    expect(fitSelection(all, [{ field: "price", mode: "range" }]).choices).toEqual({ price: { min: 1 } });
  });
});
