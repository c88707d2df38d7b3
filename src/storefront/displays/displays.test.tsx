/** @jsxImportSource preact */
// @vitest-environment happy-dom
import { render } from "preact";
import { act } from "preact/test-utils";
import { afterEach, beforeEach, describe, expect, it, vi } from "vitest";
import type { Choice, Mode } from "../../core/match/selection.ts";
import { type FacetRow, facetDefaults } from "../../core/panel/document.ts";
import type { DisplayProps, OptionView } from "./display.ts";
import { displays } from "./index.ts";
import { sectors } from "./swatches/view.tsx";

let root: HTMLElement;
beforeEach(() => {
  root = document.body.appendChild(document.createElement("div"));
});
afterEach(() => {
  render(null, root);
  root.remove();
});

const option = (id: string, more: Partial<OptionView> = {}): OptionView => ({
  id,
  label: id[0].toUpperCase() + id.slice(1),
  count: 3,
  chosen: false,
  faded: false,
  colours: undefined,
  ...more,
});
const rowFor = (mode: Mode): FacetRow => ({ ...facetDefaults, id: "f", field: "colour", mode, display: { wide: "check-boxes" } });

function show(name: keyof typeof displays, props: Partial<DisplayProps> = {}, mode: Mode = "any") {
  const toggle = vi.fn<(id: string) => void>();
  const choose = vi.fn<(choice: Choice | undefined) => void>();
  const { View } = displays[name];
  act(() =>
    render(
      <View
        row={rowFor(mode)}
        field={{ key: "colour", name: "Colour", role: "attribute", kind: "text" }}
        label="Colour"
        id="f"
        options={[]}
        choice={undefined}
        range={undefined}
        toggle={toggle}
        choose={choose}
        format={(value) => `€${value}`}
        {...props}
      />,
      root,
    ),
  );
  return { toggle, choose };
}

const inputs = () => [...root.querySelectorAll<HTMLInputElement>("input")];
const input = (type: string, value: string): HTMLInputElement => {
  const found = root.querySelector<HTMLInputElement>(`input[type=${type}][value="${value}"]`);
  if (!found) throw new Error(`There is no ${type} for ${value}.`);
  return found;
};
const labelOf = (element: Element) => element.closest("label")?.textContent?.trim();

for (const name of ["check-boxes", "tiles", "swatches"] as const) {
  describe(name, () => {
    const options = [
      option("red", { chosen: true, colours: ["#ff0000"] }),
      option("blue"),
      option("pink", { faded: true, count: 0, colours: ["#ffc0cb", "#ffffff"] }),
    ];

    it("draws each option as a check box with its name and count, chosen and faded as told", () => {
      show(name, { options });
      expect(inputs().map(({ type, checked, disabled, name: field }) => [type, checked, disabled, field])).toEqual([
        ["checkbox", true, false, "colour"],
        ["checkbox", false, false, "colour"],
        ["checkbox", false, true, "colour"],
      ]);
      expect(inputs().map(labelOf)).toEqual([
        expect.stringMatching(/Red\s*3 products/),
        expect.stringMatching(/Blue\s*3 products/),
        expect.stringMatching(/Pink\s*0 products/),
      ]);
    });

    it("tells which option was chosen", () => {
      const { toggle } = show(name, { options });
      act(() => input("checkbox", "blue").click());
      expect(toggle).toHaveBeenCalledExactlyOnceWith("blue");
    });

    it("shows no numbers where the facet is not counted", () => {
      show(name, { options: [option("red", { count: undefined })] });
      expect(root.textContent).not.toMatch(/\d|product/);
    });
  });
}

for (const name of ["tiles", "swatches"] as const) {
  it(`${name} are radio buttons where only one can be chosen, and a second click takes it back`, () => {
    const { toggle } = show(name, { options: [option("red", { chosen: true }), option("blue")] }, "one");
    act(() => input("radio", "red").click());
    expect(toggle).toHaveBeenCalledExactlyOnceWith("red");
    act(() => input("radio", "blue").click());
    expect(toggle).toHaveBeenLastCalledWith("blue");
  });
}

describe("a long list", () => {
  const many = Array.from({ length: 20 }, (_, i) => option(`value ${i}`, { chosen: i === 15 }));

  it("folds after the row's number, and never hides what is chosen", () => {
    show("check-boxes", { options: many });
    expect(inputs()).toHaveLength(9);
    expect(input("checkbox", "value 15").checked).toBe(true);
    const more = root.querySelector<HTMLButtonElement>(".zt-more");
    expect(more?.textContent).toBe("Show all 20");
    expect(more?.getAttribute("aria-expanded")).toBe("false");
    act(() => more?.click());
    expect(inputs()).toHaveLength(20);
    expect(more?.textContent).toBe("Show fewer");
  });

  it("is shown whole when the fold would save nothing", () => {
    show("check-boxes", { options: many.slice(0, 9) });
    expect(inputs()).toHaveLength(9);
    expect(root.querySelector(".zt-more")).toBeNull();
  });
});

describe("swatches", () => {
  it("show the text of a value without a colour, never a blank dot", () => {
    show("swatches", { options: [option("moonlit"), option("red", { colours: ["#ff0000"] })] });
    expect(root.querySelector(".zt-dot-text")?.textContent).toBe("Moonlit");
    expect(root.querySelectorAll(".zt-dot")).toHaveLength(1);
  });

  it("part several colours into equal sectors", () => {
    expect(sectors(["#ff0000"])).toBe("#ff0000");
    expect(sectors(["red", "white"])).toBe("conic-gradient(from 45deg, red 0% 50%, white 50% 100%)");
  });
});

describe("dropdown", () => {
  it("is the browser's own select for one, with an entry for any", () => {
    const { choose } = show("dropdown", { options: [option("red", { chosen: true }), option("blue", { faded: true, count: 0 })] }, "one");
    const select = root.querySelector("select");
    expect(select?.getAttribute("aria-label")).toBe("Colour");
    expect([...(select?.options ?? [])].map(({ value, text, disabled }) => [value, text, disabled])).toEqual([
      ["", "Any", false],
      ["red", "Red (3)", false],
      ["blue", "Blue (0)", true],
    ]);
    if (select) select.value = "";
    act(() => select?.dispatchEvent(new Event("change", { bubbles: true })) as unknown as undefined);
    expect(choose).toHaveBeenCalledWith(undefined);
  });

  it("stands deeper categories further in", () => {
    show("dropdown", { options: [option("plants", { label: "Plants" }), option("plants > ivy", { label: "Plants > Ivy" })] }, "tree");
    expect([...root.querySelectorAll("option")].map(({ textContent }) => textContent)).toEqual(["Any", "Plants (3)", "\u2003Ivy (3)"]);
  });

  it("is a list of check boxes for many, named by what is chosen, which Escape closes", () => {
    show("dropdown", { options: [option("red", { chosen: true }), option("blue", { chosen: true }), option("pink")] });
    const details = root.querySelector("details");
    expect(root.querySelector("summary")?.textContent).toBe("Colour: Red, Blue");
    if (details) details.open = true;
    input("checkbox", "pink").focus();
    act(() => document.dispatchEvent(new KeyboardEvent("keydown", { key: "Escape", cancelable: true })) as unknown as undefined);
    expect(details?.open).toBe(false);
  });
});

describe("tree", () => {
  const paths = ["plants", "plants > ivy", "plants > ivy > small", "pots"].map((id) =>
    option(id, { label: id.replace(/\b\w/g, (letter) => letter.toUpperCase()) }),
  );

  it("starts folded but for the branches around what is chosen", () => {
    show("tree", { options: paths }, "tree");
    expect(inputs().map(({ value }) => value)).toEqual(["plants", "pots"]);
    render(null, root);
    show("tree", { options: paths.map((one) => ({ ...one, chosen: one.id === "plants > ivy > small" })) }, "tree");
    expect(inputs().map(({ value }) => value)).toEqual(["plants", "plants > ivy", "plants > ivy > small", "pots"]);
  });

  it("opens and folds a branch by its button, which says so", () => {
    show("tree", { options: paths }, "tree");
    const twig = root.querySelector<HTMLButtonElement>('[aria-label="Open Plants"]');
    act(() => twig?.click());
    expect(inputs().map(labelOf)).toEqual([expect.stringContaining("Plants"), expect.stringMatching(/^Ivy/), expect.stringContaining("Pots")]);
    expect(twig?.getAttribute("aria-expanded")).toBe("true");
    expect(twig?.getAttribute("aria-label")).toBe("Fold Plants");
  });
});

describe("slider", () => {
  const answer = { min: 2, max: 338, histogram: { from: 0, width: 100, counts: [5, 2, 0, 1] } };
  const range = { live: answer, steady: answer };
  const slide = (choice: Choice | undefined = undefined) => show("slider", { range, choice }, "range");
  const handles = () => [...root.querySelectorAll<HTMLInputElement>("input[type=range]")];
  const fire = (element: HTMLInputElement, value: string, event: string) =>
    act(() => {
      element.value = value;
      element.dispatchEvent(new Event(event, { bubbles: true }));
    });

  it("has two named handles on round ends, with values in words", () => {
    slide({ min: 50 });
    expect(
      handles().map((handle) => [
        handle.getAttribute("aria-label"),
        handle.min,
        handle.max,
        handle.step,
        handle.value,
        handle.getAttribute("aria-valuetext"),
      ]),
    ).toEqual([
      ["Colour, least", "0", "340", "5", "50", "€50"],
      ["Colour, most", "0", "340", "5", "340", "€340"],
    ]);
    expect(root.querySelectorAll(".zt-bars span")).toHaveLength(4);
    expect(root.textContent).toContain("€2 to €338");
  });

  it("never lets the handles cross, and leaves an end open where a handle stands on it", () => {
    const { choose } = slide({ min: 50, max: 100 });
    fire(handles()[0], "200", "input");
    expect(choose).toHaveBeenLastCalledWith({ min: 100, max: 100 });
    fire(handles()[1], "340", "input");
    expect(choose).toHaveBeenLastCalledWith({ min: 50, max: undefined });
  });

  it("takes typed numbers with a point or a comma, and takes back what is none", () => {
    const { choose } = slide({ max: 100 });
    const [from] = root.querySelectorAll<HTMLInputElement>(".zt-end");
    expect([from.getAttribute("aria-label"), from.name]).toEqual(["Colour from", "colour.min"]);
    fire(from, "12,5", "change");
    expect(choose).toHaveBeenLastCalledWith({ min: 12.5, max: 100 });
    fire(from, "cheap", "change");
    expect(choose).toHaveBeenLastCalledWith({ min: undefined, max: 100 });
    expect(from.value).toBe("");
  });

  it("says when no product states the field", () => {
    const none = { min: null, max: null, histogram: null };
    show("slider", { range: { live: none, steady: none } }, "range");
    expect(root.textContent).toBe("No product states this.");
  });
});
