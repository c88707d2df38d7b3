// @vitest-environment happy-dom
import { describe, expect, it } from "vitest";
import { elementOf, placeOf } from "./note-place.ts";

const base = "/preview/k";
document.body.innerHTML = `
  <form data-panel="finder">
    <section data-row="colour"><h3 class="zt-title">Colour</h3>
      <div class="zt-body" aria-label="Colour">
        <label id="red"><input type="checkbox" value="red"><span>Red</span> <span class="zt-count">12</span></label>
        <label id="blue"><input type="checkbox" value="blue"><span>Blue</span></label>
      </div>
    </section>
    <div data-row="text"><h2>How to choose</h2></div>
  </form>
  <ul><li class="zs-card" id="card"><h3><a href="/preview/k/products/A%20B?variant=2">Trowel</a></h3><p id="price">5</p></li></ul>
  <p id="foot">Foot</p>`;
const at = (selector: string) => {
  const found = document.querySelector(selector);
  if (!found) throw new Error(`There is no ${selector}.`);
  return found;
};

describe("the place of a note", () => {
  it.each([
    [
      "an option, without its count",
      "#red span",
      { words: "Colour: Red", panel: "finder", row: "colour", option: "red" },
    ],
    ["a facet", ".zt-title", { words: "Colour", panel: "finder", row: "colour" }],
    ["a piece", "h2", { words: "How to choose", panel: "finder", row: "text" }],
    ["a product, whatever part of its card", "#price", { words: "Trowel", product: "/products/A%20B" }],
    ["nothing but a place", "#foot", { words: "" }],
  ])("is %s", (_, selector, place) => {
    expect(placeOf(at(selector), base).place).toEqual(place);
  });

  it.each(["#red", "#blue", '[data-row="text"]', "#card"])("is found again: %s", (selector) => {
    const element = at(selector);
    const { place } = placeOf(element, base);
    expect(elementOf({ ...place, page: "/", x: 0, y: 0 }, base)).toBe(element);
  });

  it("is the facet if the option is gone, and nowhere if the facet is", () => {
    const place = { page: "/", words: "", x: 0, y: 0, panel: "finder" };
    expect(elementOf({ ...place, row: "colour", option: "green" }, base)).toBe(at('[data-row="colour"]'));
    expect(elementOf({ ...place, row: "gone" }, base)).toBeUndefined();
  });
});
