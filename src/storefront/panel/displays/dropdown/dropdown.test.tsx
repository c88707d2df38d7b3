// @vitest-environment happy-dom
import { act } from "preact/test-utils";
import { describe, expect, it } from "vitest";
import { displayStage, option } from "../../../../../tests/display-stage.tsx";

const { find, findAll, input, show } = displayStage();

describe("dropdown", () => {
  it("is the browser's own select for one, with an entry for any", () => {
    const { choose } = show(
      "dropdown",
      { options: [option("red", { chosen: true }), option("blue", { faded: true, count: 0 })] },
      "one",
    );
    const select = find<HTMLSelectElement>("select");
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
    expect(find("option")?.textContent).toBe("Colour");
    show("dropdown", { options: [option("red")] }, "any", { title: false });
    expect(find("summary .zt-name")?.textContent).toBe("Colour");
  });

  it("stands deeper categories further in", () => {
    show(
      "dropdown",
      { options: [option("plants", { label: "Plants" }), option("plants > ivy", { label: "Plants > Ivy" })] },
      "tree",
    );
    expect(findAll("option").map(({ textContent }) => textContent)).toEqual(["Any", "Plants (3)", "\u2003Ivy (3)"]);
  });

  it("is a list of check boxes for many, named by what is chosen, which Escape closes", () => {
    show("dropdown", { options: [option("red", { chosen: true }), option("blue", { chosen: true }), option("pink")] });
    const details = find<HTMLDetailsElement>("details");
    expect(find("summary")?.textContent).toBe("Colour: Red, Blue");
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
