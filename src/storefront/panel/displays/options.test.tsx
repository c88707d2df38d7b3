// @vitest-environment happy-dom
import { act } from "preact/test-utils";
import { describe, expect, it } from "vitest";
import { displayStage, labelOf, option } from "../../../../tests/display-stage.tsx";

const { find, findAll, input, inputs, show, text } = displayStage();

for (const name of ["check-boxes", "tiles", "swatches"] as const) {
  describe(name, () => {
    const options = [
      option("red", { chosen: true, swatch: { colours: ["#ff0000"] } }),
      option("blue"),
      option("pink", { faded: true, count: 0, swatch: { colours: ["#ffc0cb", "#ffffff"] } }),
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

    it("writes a count as the language does, seen and read out", () => {
      show(name, { options: [option("red", { count: 1234 })] });
      expect(inputs().map(labelOf)).toEqual([expect.stringMatching(/Red\s*1,234 products/)]);
      expect(findAll(".zt-count").map(({ textContent }) => textContent)).toEqual(["1,234 products"]);
    });

    it("shows no numbers where the facet is not counted", () => {
      show(name, { options: [option("red", { count: undefined })] });
      expect(text()).not.toMatch(/\d|product/);
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
    const more = find<HTMLButtonElement>(".zt-more");
    expect(more?.textContent).toBe("Show all 20");
    expect(more?.getAttribute("aria-expanded")).toBe("false");
    act(() => more?.click());
    expect(inputs()).toHaveLength(20);
    expect(more?.textContent).toBe("Show fewer");
  });

  it("is shown whole when the fold would save nothing", () => {
    show("check-boxes", { options: many.slice(0, 9) });
    expect(inputs()).toHaveLength(9);
    expect(find(".zt-more")).toBeNull();
  });
});

describe("options that lie open", () => {
  const many = Array.from({ length: 30 }, (_, i) => option(`value ${i}`));

  it("are found by name inside the facet", () => {
    show("check-boxes", { options: many }, "any", { searchInside: { wide: true } });
    const field = find<HTMLInputElement>("input[type=search]");
    expect(field?.getAttribute("aria-label")).toBe("Find in Colour");
    const type = (text: string) =>
      act(() => {
        if (field) field.value = text;
        field?.dispatchEvent(new Event("input", { bubbles: true }));
      });
    type("VALUE 12");
    expect(findAll(".zt-options li")).toHaveLength(1);
    type("nothing");
    expect(text()).toContain("No matches.");
  });

  it("stand in columns or in a row, and scroll by themselves beyond a height", () => {
    show("check-boxes", { options: many }, "any", {
      columns: { wide: 2 },
      maxHeight: { wide: 200 },
      foldAfter: { wide: 0 },
    });
    const list = find<HTMLElement>(".zt-options");
    expect(list?.style.getPropertyValue("--limit")).toBe("200px");
    expect(list?.style.getPropertyValue("--columns")).toBe("2");
    expect(list?.tabIndex).toBe(0);
    expect(inputs()).toHaveLength(30);
    show("check-boxes", { options: many }, "any", { flow: { wide: "row" } });
    expect(find<HTMLElement>(".zt-options")?.dataset.flow).toBe("row");
  });
});

describe("one of a few", () => {
  it("is a radio button each, in radio buttons", () => {
    const { toggle } = show("radio-buttons", { options: [option("red", { chosen: true }), option("blue")] }, "one");
    expect(inputs().map(({ type }) => type)).toEqual(["radio", "radio"]);
    act(() => input("radio", "blue").click());
    expect(toggle).toHaveBeenCalledExactlyOnceWith("blue");
  });

  it("is a switch for the option that it is offered, whose role and state are told", () => {
    const { toggle } = show("switch", { options: [option("yes", { chosen: true, count: 12 })] });
    const [knob] = inputs();
    expect(inputs()).toHaveLength(1);
    expect([knob.getAttribute("role"), knob.value, knob.checked]).toEqual(["switch", "yes", true]);
    act(() => knob.click());
    expect(toggle).toHaveBeenCalledExactlyOnceWith("yes");
  });
});
