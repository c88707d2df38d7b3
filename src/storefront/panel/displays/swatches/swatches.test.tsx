// @vitest-environment happy-dom
import { describe, expect, it } from "vitest";
import { displayStage, labelOf, option } from "../../../../../tests/display-stage.tsx";
import { paint } from "../swatch.tsx";

const { find, findAll, inputs, show } = displayStage();

describe("swatches", () => {
  it("show the text of a value without a colour, never a blank dot", () => {
    show("swatches", { options: [option("moonlit"), option("red", { swatch: { colours: ["#ff0000"] } })] });
    expect(find(".zt-dot-text")?.textContent).toBe("Moonlit");
    expect(findAll(".zt-dot")).toHaveLength(1);
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
    expect(find("[data-outlined]")).not.toBeNull();
    expect(find("img")?.getAttribute("src")).toBe("/pictures/a/b.svg");
    expect(inputs().map(labelOf)).toEqual([expect.stringMatching(/^White/), expect.stringMatching(/^A green tartan/)]);
    show("swatches", { options }, "any", { caption: { wide: "under" }, edge: "none" });
    expect(find("[data-outlined]")).toBeNull();
    expect(findAll(".zt-name")).toHaveLength(2);
    show("swatches", { options }, "any", { caption: { wide: "on" } });
    expect(find(".zt-dot-on")?.textContent).toBe("White");
    expect(inputs().map(labelOf)[0]).toMatch(/^White/);
    // Neither black nor white reads on both halves.
    const halves = { colours: ["#000000", "#ffffff"], mark: "#000000" as const, plate: true as const };
    show("swatches", { options: [option("zebra", { swatch: halves })] }, "any", { caption: { wide: "on" } });
    expect(find(".zt-dot-on .zt-plate")?.textContent).toBe("Zebra");
  });
});
