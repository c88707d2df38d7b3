// @vitest-environment happy-dom
import { act } from "preact/test-utils";
import { describe, expect, it } from "vitest";
import { displayStage, labelOf, option } from "../../../../../tests/display-stage.tsx";

const { empty, findAll, inputs, show } = displayStage();

// Source: WAI-ARIA Authoring Practices, Tree View.
describe("tree", () => {
  const paths = ["plants", "plants > ivy", "plants > ivy > small", "pots"].map((id) =>
    option(id, { label: id.replace(/\b\w/g, (letter) => letter.toUpperCase()) }),
  );
  const items = () => findAll<HTMLElement>("[role=treeitem]");
  const names = () => items().map((item) => item.textContent);
  const press = (item: HTMLElement, key: string) =>
    act(() => item.dispatchEvent(new KeyboardEvent("keydown", { key, bubbles: true })) as unknown as undefined);

  it("starts folded but for the branches around what is chosen", () => {
    show("tree", { options: paths }, "tree");
    expect(names()).toEqual(["Plants3 products", "Pots3 products"]);
    empty();
    show("tree", { options: paths.map((one) => ({ ...one, chosen: one.id === "plants > ivy > small" })) }, "tree");
    expect(items().map((item) => [item.textContent, item.getAttribute("aria-checked")])).toEqual([
      ["Plants3 products", "false"],
      ["Ivy3 products", "false"],
      ["Small3 products", "true"],
      ["Pots3 products", "false"],
    ]);
  });

  it("has one stop for the Tab key, opens and folds with arrows, and chooses with Space", () => {
    const { toggle } = show("tree", { options: paths }, "tree");
    expect(items().map(({ tabIndex }) => tabIndex)).toEqual([0, -1]);
    press(items()[0], "ArrowRight");
    expect(names()).toEqual(["Plants3 products", "Ivy3 products", "Pots3 products"]);
    expect(items()[0].getAttribute("aria-expanded")).toBe("true");
    press(items()[0], "ArrowRight");
    expect(document.activeElement).toBe(items()[1]);
    press(items()[1], "End");
    expect(document.activeElement).toBe(items()[2]);
    press(items()[2], "i");
    expect(document.activeElement).toBe(items()[1]);
    press(items()[1], " ");
    expect(toggle).toHaveBeenCalledExactlyOnceWith("plants > ivy");
    press(items()[1], "ArrowLeft");
    expect(document.activeElement).toBe(items()[0]);
    press(items()[0], "ArrowLeft");
    expect(names()).toEqual(["Plants3 products", "Pots3 products"]);
  });

  it("flat, is a list of categories by their own names", () => {
    show("tree", { options: paths.filter(({ id }) => !/^plants(?: > ivy)?$/.test(id)) }, "tree", { nested: false });
    expect(inputs().map(labelOf)).toEqual([expect.stringMatching(/^Small/), expect.stringMatching(/^Pots/)]);
  });
});
