// @vitest-environment happy-dom
import { render } from "preact";
import { act } from "preact/test-utils";
import { afterEach, beforeEach, describe, expect, it, vi } from "vitest";
import type { DisplayName } from "../../../core/display/displays.ts";
import type { Choice, Mode } from "../../../core/match/question.ts";
import { newFacet } from "../../../core/panel/panel.ts";
import type { FacetRow } from "../../../core/panel/panel-schema.ts";
import { type SettingValues, settingsOn } from "../../../core/setting/settings.ts";
import { sayOf } from "../../words/spoken.ts";
import { putAllViews } from "./all.ts";
import type { DisplayProps, OptionView } from "./display-props.ts";
import { paint } from "./swatch.tsx";
import { viewOf } from "./views.ts";

putAllViews();
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
  swatch: undefined,
  ...more,
});
const rowFor = (mode: Mode): FacetRow => newFacet("f", "colour", "check-boxes", mode);

function show(name: DisplayName, props: Partial<DisplayProps> = {}, mode: Mode = "any", settings: SettingValues = {}) {
  const toggle = vi.fn<(id: string) => void>();
  const choose = vi.fn<(choice: Choice | undefined) => void>();
  const View = viewOf(name);
  if (!View) throw new Error(`There is no view of ${name}.`);
  act(() =>
    render(
      <View
        row={rowFor(mode)}
        name="colour"
        settings={settingsOn(settings, "wide")}
        ranges={[]}
        say={sayOf("en")}
        language="en"
        field={{ key: "colour", name: "Colour", role: "attribute", kind: "text" }}
        label="Colour"
        id="f"
        options={[]}
        choice={undefined}
        range={undefined}
        toggle={toggle}
        choose={choose}
        peek={() => undefined}
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
    show("swatches", { options: [option("moonlit"), option("red", { swatch: { colours: ["#ff0000"] } })] });
    expect(root.querySelector(".zt-dot-text")?.textContent).toBe("Moonlit");
    expect(root.querySelectorAll(".zt-dot")).toHaveLength(1);
  });

  it("part several colours into equal sectors or stripes", () => {
    expect(paint({ colours: ["#ff0000"] })).toBe("#ff0000");
    expect(paint({ colours: ["red", "white"] })).toBe("conic-gradient(from 45deg, red 0% 50%, white 50% 100%)");
    expect(paint({ colours: ["red", "white"], drawing: "stripes" })).toBe(
      "linear-gradient(to right, red 0% 50%, white 50% 100%)",
    );
  });

  it("show a picture, an outline where one is needed, and their text on, beside or under", () => {
    const swatch = { colours: ["#ffffff"], outline: true as const, mark: "#000000" as const };
    const options = [
      option("white", { swatch }),
      option("tartan", { swatch: { picture: "/pictures/a/b.svg", alt: "A green tartan" } }),
    ];
    show("swatches", { options });
    expect(root.querySelector("[data-outlined]")).not.toBeNull();
    expect(root.querySelector("img")?.getAttribute("src")).toBe("/pictures/a/b.svg");
    expect(inputs().map(labelOf)).toEqual([expect.stringMatching(/^White/), expect.stringMatching(/^A green tartan/)]);
    show("swatches", { options }, "any", { caption: { wide: "under" }, edge: "none" });
    expect(root.querySelector("[data-outlined]")).toBeNull();
    expect(root.querySelectorAll(".zt-name")).toHaveLength(2);
    show("swatches", { options }, "any", { caption: { wide: "on" } });
    expect(root.querySelector(".zt-dot-on")?.textContent).toBe("White");
    expect(inputs().map(labelOf)[0]).toMatch(/^White/);
  });
});

describe("dropdown", () => {
  it("is the browser's own select for one, with an entry for any", () => {
    const { choose } = show(
      "dropdown",
      { options: [option("red", { chosen: true }), option("blue", { faded: true, count: 0 })] },
      "one",
    );
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

  it("says what it is for where no title does", () => {
    show("dropdown", { options: [option("red")] }, "one", { title: false });
    expect(root.querySelector("option")?.textContent).toBe("Colour");
    show("dropdown", { options: [option("red")] }, "any", { title: false });
    expect(root.querySelector("summary .zt-name")?.textContent).toBe("Colour");
  });

  it("stands deeper categories further in", () => {
    show(
      "dropdown",
      { options: [option("plants", { label: "Plants" }), option("plants > ivy", { label: "Plants > Ivy" })] },
      "tree",
    );
    expect([...root.querySelectorAll("option")].map(({ textContent }) => textContent)).toEqual([
      "Any",
      "Plants (3)",
      "\u2003Ivy (3)",
    ]);
  });

  it("is a list of check boxes for many, named by what is chosen, which Escape closes", () => {
    show("dropdown", { options: [option("red", { chosen: true }), option("blue", { chosen: true }), option("pink")] });
    const details = root.querySelector("details");
    expect(root.querySelector("summary")?.textContent).toBe("Colour: Red, Blue");
    if (details) details.open = true;
    input("checkbox", "pink").focus();
    act(
      () =>
        document.dispatchEvent(
          new KeyboardEvent("keydown", { key: "Escape", cancelable: true }),
        ) as unknown as undefined,
    );
    expect(details?.open).toBe(false);
  });
});

// Source: WAI-ARIA Authoring Practices, Tree View.
describe("tree", () => {
  const paths = ["plants", "plants > ivy", "plants > ivy > small", "pots"].map((id) =>
    option(id, { label: id.replace(/\b\w/g, (letter) => letter.toUpperCase()) }),
  );
  const items = () => [...root.querySelectorAll<HTMLElement>("[role=treeitem]")];
  const names = () => items().map((item) => item.textContent);
  const press = (item: HTMLElement, key: string) =>
    act(() => item.dispatchEvent(new KeyboardEvent("keydown", { key, bubbles: true })) as unknown as undefined);

  it("starts folded but for the branches around what is chosen", () => {
    show("tree", { options: paths }, "tree");
    expect(names()).toEqual(["Plants3 products", "Pots3 products"]);
    render(null, root);
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

  it("flat, is a list of the categories that have none below them", () => {
    show("tree", { options: paths }, "tree", { nested: false });
    expect(inputs().map(labelOf)).toEqual([expect.stringMatching(/^Small/), expect.stringMatching(/^Pots/)]);
  });
});

describe("options that lie open", () => {
  const many = Array.from({ length: 30 }, (_, i) => option(`value ${i}`));

  it("are found by name inside the facet", () => {
    show("check-boxes", { options: many }, "any", { searchInside: { wide: true } });
    const field = root.querySelector<HTMLInputElement>("input[type=search]");
    expect(field?.getAttribute("aria-label")).toBe("Find in Colour");
    const type = (text: string) =>
      act(() => {
        if (field) field.value = text;
        field?.dispatchEvent(new Event("input", { bubbles: true }));
      });
    type("VALUE 12");
    expect(root.querySelectorAll(".zt-options li")).toHaveLength(1);
    type("nothing");
    expect(root.textContent).toContain("Nothing here is called that.");
  });

  it("stand in columns or in a row, and scroll by themselves beyond a height", () => {
    show("check-boxes", { options: many }, "any", {
      columns: { wide: 2 },
      maxHeight: { wide: 200 },
      foldAfter: { wide: 0 },
    });
    const list = root.querySelector<HTMLElement>(".zt-options");
    expect(list?.style.getPropertyValue("--limit")).toBe("200px");
    expect(list?.style.getPropertyValue("--columns")).toBe("2");
    expect(list?.tabIndex).toBe(0);
    expect(inputs()).toHaveLength(30);
    show("check-boxes", { options: many }, "any", { flow: { wide: "row" } });
    expect(root.querySelector<HTMLElement>(".zt-options")?.dataset.flow).toBe("row");
  });
});

describe("one of a few", () => {
  it("is a radio button each, in radio buttons", () => {
    const { toggle } = show("radio-buttons", { options: [option("red", { chosen: true }), option("blue")] }, "one");
    expect(inputs().map(({ type }) => type)).toEqual(["radio", "radio"]);
    act(() => input("radio", "blue").click());
    expect(toggle).toHaveBeenCalledExactlyOnceWith("blue");
  });

  it("is a switch for the affirmative value, whose role and state are told", () => {
    const { toggle } = show("switch", { options: [option("no"), option("yes", { chosen: true, count: 12 })] });
    const [knob] = inputs();
    expect(inputs()).toHaveLength(1);
    expect([knob.getAttribute("role"), knob.value, knob.checked]).toEqual(["switch", "yes", true]);
    act(() => knob.click());
    expect(toggle).toHaveBeenCalledExactlyOnceWith("yes");
  });
});

describe("a search field", () => {
  it("shows what is chosen and what fits, and says how many more there are", () => {
    const many = Array.from({ length: 30 }, (_, i) => option(`brand ${i}`, { chosen: i === 29 }));
    show("search-field", { options: many });
    expect(
      inputs()
        .filter(({ type }) => type === "checkbox")
        .map(({ value }) => value),
    ).toEqual(["brand 29"]);
    const field = root.querySelector<HTMLInputElement>("input[type=search]");
    act(() => {
      if (field) field.value = "bra";
      field?.dispatchEvent(new Event("input", { bubbles: true }));
    });
    expect(inputs().filter(({ type }) => type === "checkbox")).toHaveLength(9);
    expect(root.querySelector("[role=status]")?.textContent).toBe("and 21 more");
  });
});

describe("price ranges and stars", () => {
  const ranged = (range: { min?: number; max?: number }, more: Partial<DisplayProps["ranges"][number]> = {}) => ({
    range,
    label: `from ${range.min}`,
    count: 4,
    chosen: false,
    faded: false,
    ...more,
  });

  it("choose a range, and a second click takes it back", () => {
    const ranges = [
      ranged({ max: 10 }),
      ranged({ min: 10, max: 20 }, { chosen: true }),
      ranged({ min: 20 }, { faded: true, count: 0 }),
    ];
    const { choose } = show("price-ranges", { ranges }, "range");
    expect(root.querySelector("[role=radiogroup]")?.getAttribute("aria-label")).toBe("Colour");
    expect(inputs().map(({ checked, disabled }) => [checked, disabled])).toEqual([
      [false, false],
      [true, false],
      [false, true],
    ]);
    act(() => inputs()[0].click());
    expect(choose).toHaveBeenLastCalledWith({ max: 10 });
    act(() => inputs()[1].click());
    expect(choose).toHaveBeenLastCalledWith(undefined);
  });

  it("say how many stars, in words too", () => {
    show("stars", { ranges: [4, 3, 2, 1].map((min) => ranged({ min })) }, "range");
    expect([...root.querySelectorAll("label")].map((label) => label.textContent)).toEqual([
      expect.stringMatching(/4 stars and up4 products/),
      expect.stringMatching(/3 stars and up/),
      expect.stringMatching(/2 stars and up/),
      expect.stringMatching(/1 star and up/),
    ]);
  });
});

describe("a date range", () => {
  // Common practice, no source: a date range includes both its days.
  it("is two days, each in its own field", () => {
    const none = { min: 20_000, max: 20_100, histogram: null };
    const { choose } = show(
      "dates",
      { range: { live: none, steady: none }, field: { key: "d", name: "D", role: "attribute", kind: "date" } },
      "range",
    );
    const [from] = inputs();
    expect([from.type, from.placeholder]).toEqual(["date", "2024-10-04"]);
    act(() => {
      from.value = "2024-10-10";
      from.dispatchEvent(new Event("change", { bubbles: true }));
    });
    expect(choose).toHaveBeenLastCalledWith({ min: 20_006, max: undefined });
  });
});

describe("slider", () => {
  const answer = { min: 2, max: 338, histogram: { edges: [0, 100, 200, 300, 400], counts: [5, 2, 0, 1] } };
  const range = { live: answer, steady: answer };
  const slide = (choice?: Choice, more: Partial<DisplayProps> = {}) =>
    show("slider-inputs", { range, choice, ...more }, "range");
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
    expect(root.querySelectorAll(".zt-bars path")).toHaveLength(4);
    expect(root.textContent).toContain("€50 to €340");
  });

  it("never lets the handles cross, and leaves an end open where a handle stands on it", () => {
    const { choose } = slide({ min: 50, max: 100 });
    fire(handles()[0], "200", "input");
    expect(choose).toHaveBeenLastCalledWith({ min: 100, max: 100 });
    fire(handles()[1], "340", "input");
    expect(choose).toHaveBeenLastCalledWith({ min: 50, max: undefined });
  });

  it("takes typed numbers as captions write them, swaps ends, and tells of what is none", () => {
    const { choose } = slide({ max: 100 });
    const [from] = root.querySelectorAll<HTMLInputElement>(".zt-end");
    expect([from.getAttribute("aria-label"), from.name]).toEqual(["Colour from", "colour.min"]);
    fire(from, "12,5", "change");
    expect(choose).toHaveBeenLastCalledWith({ min: 12.5, max: 100 });
    fire(from, "€ 1,250", "change");
    // The wrong way round: what was meant is plain.
    expect(choose).toHaveBeenLastCalledWith({ min: 100, max: 1250 });
    const calls = choose.mock.calls.length;
    fire(from, "50 m", "change");
    expect(choose).toHaveBeenCalledTimes(calls);
    expect([from.value, from.ariaInvalid, from.validationMessage]).toEqual(["50 m", "true", "This is no number."]);
    fire(from, "", "change");
    expect(choose).toHaveBeenLastCalledWith({ min: undefined, max: 100 });
    expect(from.ariaInvalid).toBe("false");
  });

  it("bends its scale so that equal lengths are equal ratios, and stops at numbers that can be read", () => {
    const skewed = { min: 1, max: 10_000, histogram: null };
    const { choose } = show("slider", { range: { live: skewed, steady: skewed } }, "range", {
      scale: "bent",
      ends: "typed",
      least: 1,
      most: 10_000,
    });
    const [least] = handles();
    const stops = Number(least.max);
    expect(least.min).toBe("0");
    const at = (place: number) => {
      fire(least, String(place), "input");
      return (choose.mock.lastCall?.[0] as { min?: number } | undefined)?.min ?? 1;
    };
    const values = Array.from({ length: stops }, (_, place) => at(place));
    // Four powers of ten have equal parts of the track, and each stop is a twentieth to a tenth above the one before.
    expect([values[stops / 4], values[stops / 2], values[(stops / 4) * 3]]).toEqual([10, 100, 1000]);
    for (const [i, value] of values.slice(1).entries()) {
      expect(value / values[i]).toBeGreaterThan(1.04);
      expect(value / values[i]).toBeLessThanOrEqual(1.1 + 1e-9);
    }
  });

  it("tells how many products a range would find while it is typed, and forgets it when the field is left", async () => {
    const peek = vi.fn(() => Promise.resolve(7));
    const { choose } = slide({ max: 100 }, { peek });
    const [from] = root.querySelectorAll<HTMLInputElement>(".zt-end");
    for (const text of ["1", "12"]) {
      await act(async () => fire(from, text, "input"));
    }
    await vi.waitFor(() =>
      expect(root.querySelector("[aria-live]")?.textContent?.replace(/[\u2066-\u2069]/g, "")).toBe("7 products"),
    );
    // Asked once, for what stands there when the fingers rest; nothing is chosen yet.
    expect(peek.mock.calls).toEqual([[{ min: 12, max: 100 }]]);
    expect(choose).not.toHaveBeenCalled();
    await act(async () => fire(from, "12", "change"));
    expect(root.querySelector("[aria-live]")?.textContent).toBe("");
    expect(choose).toHaveBeenCalledWith({ min: 12, max: 100 });
  });

  it("says that there is more beyond a typed end, which the open end still finds", () => {
    show("slider", { range }, "range", { ends: "typed", least: 10, most: 100 });
    expect(handles().map((handle) => [handle.min, handle.max])).toEqual([
      ["10", "100"],
      ["10", "100"],
    ]);
    expect(root.textContent).toContain("€10 or less to €100 or more");
  });

  it("shows the value above a handle that is held, and drops what the designer does not want", () => {
    show("slider", { range }, "range");
    act(() => handles()[1].dispatchEvent(new Event("pointerdown", { bubbles: true })) as unknown as undefined);
    expect(root.querySelector(".zt-bubble")?.textContent).toBe("€340");
    render(null, root);
    show("slider", { range }, "range", { bubbles: false, values: false, histogram: { wide: false } });
    act(() => handles()[1].dispatchEvent(new Event("pointerdown", { bubbles: true })) as unknown as undefined);
    expect(root.querySelector(".zt-bubble, .zt-bars, .zt-hint")).toBeNull();
  });

  it("says when no product states the field", () => {
    const none = { min: null, max: null, histogram: null };
    show("slider", { range: { live: none, steady: none } }, "range");
    expect(root.textContent).toBe("No product states this.");
  });
});
