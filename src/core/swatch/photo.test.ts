import Color from "colorjs.io";
import { describe, expect, it } from "vitest";
import { deltaE } from "./measure.ts";
import { type LookedAt, labOf, mainColours, type Pixels, valueColours } from "./photo.ts";

/** A picture drawn by a function of place. */
function drawn(size: number, at: (x: number, y: number) => string): Pixels {
  const data = new Uint8ClampedArray(size * size * 4);
  for (let y = 0; y < size; y++) {
    for (let x = 0; x < size; x++) {
      const hex = at(x, y);
      for (const part of [0, 1, 2])
        data[(y * size + x) * 4 + part] = Number.parseInt(hex.slice(1 + part * 2, 3 + part * 2), 16);
      data[(y * size + x) * 4 + 3] = hex.length === 9 ? Number.parseInt(hex.slice(7), 16) : 255;
    }
  }
  return { data, width: size, height: size };
}
const disc = (x: number, y: number, cx: number, cy: number, r: number) => (x - cx) ** 2 + (y - cy) ** 2 < r * r;
/** A flower of one colour on a leaf, on a ground. */
const flower = (ground: string, petals: string, leaf = "#55803f") =>
  drawn(48, (x, y) => (disc(x, y, 24, 18, 11) ? petals : x > 20 && x < 28 && y > 20 && y < 46 ? leaf : ground));
const looked = (pixels: Pixels, ...values: string[]): LookedAt => ({ clusters: mainColours(pixels), values });

it("has the OKLab of other libraries", () => {
  // Source: the package colorjs.io, and Ottosson's own table for white and the primaries.
  for (let code = 0; code < 0xffffff; code += 65_539) {
    const [l, a, b] = new Color(`#${code.toString(16).padStart(6, "0")}`).to("oklab").coords;
    for (const [i, part] of [l, a, b].entries()) expect(labOf(code)[i]).toBeCloseTo(part as number, 3);
  }
  expect(labOf(0xffffff)[0]).toBeCloseTo(1, 4);
});

describe("a picture's main colours", () => {
  it("leave the ground out, be it plain, uneven or see-through", () => {
    expect(mainColours(flower("#f4e9ee", "#a8163a")).map(({ hex }) => hex)).toEqual(["#a8163a", "#55803f"]);
    const uneven = drawn(48, (x, y) =>
      disc(x, y, 24, 24, 14) ? "#2b3578" : ["#e9e4da", "#ebe6dc", "#e7e2d8"][(x * 7 + y * 3) % 3],
    );
    expect(mainColours(uneven).map(({ hex }) => hex)).toEqual(["#2b3578"]);
    const through = drawn(48, (x, y) => (disc(x, y, 24, 24, 14) ? "#ffffff" : "#00000000"));
    expect(mainColours(through)).toEqual([expect.objectContaining({ hex: "#ffffff", share: 1 })]);
  });

  it("keep a pale flower on a near white ground, and take a mean where no pixel is like another", () => {
    expect(mainColours(flower("#f4f1ea", "#fffdf6"))[0].hex).toBe("#fffdf6");
    // Every pixel is another red: the mean stands for them.
    const grain = drawn(48, (x, y) =>
      disc(x, y, 24, 24, 14) ? `#${(160 + ((x * 5 + y * 11) % 16)).toString(16)}2030` : "#ffffff",
    );
    const [first] = mainColours(grain);
    expect(deltaE(first.hex, "#a72030")).toBeLessThan(3);
  });

  it("say nothing of a blank picture", () => {
    expect(mainColours(drawn(12, () => "#ffffff"))).toEqual([]);
    expect(mainColours(drawn(12, () => "#00000000"))).toEqual([]);
  });
});

describe("the colours of values", () => {
  const one = () => undefined;
  const grounds = ["#f4e9ee", "#e8ecf6", "#f0eadc"];
  const reds = grounds.map((ground) => looked(flower(ground, "#a8163a"), "crimson"));
  const blues = grounds.map((ground) => looked(flower(ground, "#2b3578"), "midnight"));

  it("are what its pictures share and others lack: leaves speak for none", () => {
    const found = valueColours([...reds, ...blues], one);
    expect(found.get("crimson")).toEqual({ colours: ["#a8163a"], agree: 3, of: 3 });
    expect(found.get("midnight")).toEqual({ colours: ["#2b3578"], agree: 3, of: 3 });
  });

  it("count how many pictures agree, and are silent where most do not", () => {
    const mixed = valueColours([...reds, looked(flower("#ffffff", "#f4cf2f"), "crimson"), ...blues], one);
    expect(mixed.get("crimson")).toMatchObject({ colours: ["#a8163a"], agree: 3, of: 4 });
    const spread = ["#a8163a", "#2b3578", "#f4cf2f", "#86b9ea"].map((petals) =>
      looked(flower("#ffffff", petals, petals), "mixed"),
    );
    expect(valueColours(spread, one).has("mixed")).toBe(false);
  });

  it("are as many as the name speaks of", () => {
    const twoTone = grounds.map((ground) =>
      looked(
        drawn(48, (x, y) => (disc(x, y, 24, 24, 14) ? (x < 24 ? "#f4cf2f" : "#c8281e") : ground)),
        "yellow and red",
      ),
    );
    const found = valueColours([...twoTone, ...blues], (value) => (value === "yellow and red" ? 2 : 1));
    expect(found.get("yellow and red")?.colours.toSorted()).toEqual(["#c8281e", "#f4cf2f"]);
    expect(found.get("midnight")?.colours).toHaveLength(1);
  });

  it("hear pictures of one value before those of several", () => {
    const both = looked(flower("#ffffff", "#86b9ea"), "crimson", "midnight");
    const found = valueColours([both, reds[0], blues[0]], one);
    expect(found.get("crimson")).toEqual({ colours: ["#a8163a"], agree: 1, of: 1 });
  });
});
