import colorName from "color-name";
import Color from "colorjs.io";
import { type Lab65, lab65 } from "culori";
import { describe, expect, it } from "vitest";
import {
  closePairs,
  contrast,
  deltaE,
  huePlace,
  lightnessOf,
  needsOutline,
  readableOn,
  seenAs,
  swatchDifference,
  type Vision,
} from "./measure.ts";
import { visionMatrices } from "./vision-matrices.ts";

const cssColours = Object.values(colorName).map(
  (bytes) => `#${bytes.map((byte) => byte.toString(16).padStart(2, "0")).join("")}`,
);

/** Pairs of L*, a*, b* with their difference. Source: Sharma, Wu and Dalal (2005), The CIEDE2000 color-difference formula, table 1. */
const sharma = `
50 2.6772 -79.7751 50 0 -82.7485 2.0425
50 3.1571 -77.2803 50 0 -82.7485 2.8615
50 2.8361 -74.0200 50 0 -82.7485 3.4412
50 -1.3802 -84.2814 50 0 -82.7485 1.0000
50 -1.1848 -84.8006 50 0 -82.7485 1.0000
50 -0.9009 -85.5211 50 0 -82.7485 1.0000
50 0 0 50 -1 2 2.3669
50 -1 2 50 0 0 2.3669
50 2.4900 -0.0010 50 -2.4900 0.0009 7.1792
50 2.4900 -0.0010 50 -2.4900 0.0010 7.1792
50 2.4900 -0.0010 50 -2.4900 0.0011 7.2195
50 2.4900 -0.0010 50 -2.4900 0.0012 7.2195
50 -0.0010 2.4900 50 0.0009 -2.4900 4.8045
50 -0.0010 2.4900 50 0.0010 -2.4900 4.8045
50 -0.0010 2.4900 50 0.0011 -2.4900 4.7461
50 2.5 0 50 0 -2.5 4.3065
50 2.5 0 73 25 -18 27.1492
50 2.5 0 61 -5 29 22.8977
50 2.5 0 56 -27 -3 31.9030
50 2.5 0 58 24 15 19.4535
50 2.5 0 50 3.1736 0.5854 1.0000
50 2.5 0 50 3.2972 0 1.0000
50 2.5 0 50 1.8634 0.5757 1.0000
50 2.5 0 50 3.2592 0.3350 1.0000
60.2574 -34.0099 36.2677 60.4626 -34.1751 39.4387 1.2644
63.0109 -31.0961 -5.8663 62.8187 -29.7946 -4.0864 1.2630
61.2901 3.7196 -5.3901 61.4292 2.2480 -4.9620 1.8731
35.0831 -44.1164 3.7933 35.0232 -40.0716 1.5901 1.8645
22.7233 20.0904 -46.6940 23.0331 14.9730 -42.5619 2.0373
36.4612 47.8580 18.3852 36.2715 50.5065 21.2231 1.4146
90.8027 -2.0831 1.4410 91.1528 -1.6435 0.0447 1.4441
90.9257 -0.5406 -0.9208 88.6381 -0.8985 -0.7239 1.5381
6.7747 -0.2908 -2.4247 5.8714 -0.0985 -2.2286 0.6377
2.0776 0.0795 -1.1350 0.9033 -0.0636 -0.5514 0.9082`
  .trim()
  .split("\n")
  .map((line) => line.split(" ").map(Number));

describe("colour differences", () => {
  it("are those of the 34 published pairs", () => {
    expect(sharma).toHaveLength(34);
    for (const [l, a, b, m, c, d, difference] of sharma) {
      const found = deltaE({ mode: "lab65", l, a, b }, { mode: "lab65", l: m, a: c, b: d });
      expect(Math.abs(found - difference)).toBeLessThan(0.0001);
    }
  });

  it("are those of another library: the formula for any coordinates, and the coordinates of any colour", () => {
    // Source: the package colorjs.io. It measures over the D50 CIELAB, so the formula is held against it there, and the D65 places apart.
    for (const [i, hex] of cssColours.entries()) {
      const [one, other] = [new Color(hex), new Color(cssColours[(i * 37 + 11) % cssColours.length])];
      const [first, second] = [one, other].map((colour) => {
        const [l, a, b] = colour.to("lab").coords as [number, number, number];
        return { mode: "lab65", l, a, b } as const;
      });
      expect(deltaE(first, second)).toBeCloseTo(one.deltaE(other, "2000"), 6);
      const place = lab65(hex) as Lab65;
      for (const [j, part] of [place.l, place.a, place.b].entries())
        expect(part).toBeCloseTo(one.to("lab-d65").coords[j] as number, 1);
    }
  });

  it("of several colours are those of the parts that differ most, however they are turned", () => {
    expect(swatchDifference(["#ff0000", "#ffffff"], ["#ffffff", "#ff0000"])).toBe(0);
    expect(swatchDifference(["#ff0000"], ["#ff0000", "#ffffff"])).toBe(Number.POSITIVE_INFINITY);
    expect(swatchDifference(["#ff0000", "#ffffff"], ["#ff0000", "#fefefe"])).toBeCloseTo(
      deltaE("#ffffff", "#fefefe"),
      9,
    );
  });
});

describe("other sights", () => {
  // Source: Machado, Oliveira and Fernandes (2009), matrices of severity 1.0, for linear light; worked here by hand from them.
  const matrices: Record<Exclude<Vision, "usual">, number[][]> = {
    protan: [
      [0.152286, 1.052583, -0.204868],
      [0.114503, 0.786281, 0.099216],
      [-0.003882, -0.048116, 1.051998],
    ],
    deutan: [
      [0.367322, 0.860646, -0.227968],
      [0.280085, 0.672501, 0.047413],
      [-0.01182, 0.04294, 0.968881],
    ],
    tritan: [
      [1.255528, -0.076749, -0.178779],
      [-0.078411, 0.930809, 0.147602],
      [0.004733, 0.691367, 0.3039],
    ],
  };
  const decode = (part: number) => (part <= 0.04045 ? part / 12.92 : ((part + 0.055) / 1.055) ** 2.4);
  const encode = (part: number) => (part <= 0.0031308 ? part * 12.92 : 1.055 * part ** (1 / 2.4) - 0.055);
  it("follow the published matrices on linear light", () => {
    for (const [vision, rows] of Object.entries(matrices)) {
      // Pages are shown through the same eyes as swatches are measured with.
      expect(visionMatrices[vision as keyof typeof visionMatrices]).toEqual(rows.flat());
      for (const hex of cssColours) {
        const light = [1, 3, 5].map((at) => decode(Number.parseInt(hex.slice(at, at + 2), 16) / 255));
        const bytes = rows.map((row) => {
          const sum = row.reduce((total, factor, i) => total + factor * light[i], 0);
          return Math.round(Math.max(0, Math.min(1, encode(Math.max(0, Math.min(1, sum))))) * 255);
        });
        const found = seenAs(hex, vision as Vision);
        const apart = bytes.map((byte, i) => Math.abs(byte - Number.parseInt(found.slice(1 + i * 2, 3 + i * 2), 16)));
        expect(Math.max(...apart), `${hex} ${vision}: ${found}, ${bytes}`).toBeLessThanOrEqual(1);
      }
    }
  });

  it("leave greys as they are and bring pairs together that others keep apart", () => {
    for (const vision of ["protan", "deutan", "tritan"] as const)
      expect(deltaE(seenAs("#808080", vision), "#808080")).toBeLessThan(0.6);
    // An olive and an orange brown that only green-blind eyes confuse.
    const swatches = [
      { id: "moss", colours: ["#6b7a2e"] },
      { id: "rust", colours: ["#8f6a2c"] },
      { id: "sky", colours: ["#6fb7e8"] },
    ];
    const pairs = closePairs(swatches, 10);
    expect(pairs.map(({ a, b, vision }) => [a, b, vision])).toEqual([
      ["moss", "rust", expect.stringMatching(/protan|deutan/)],
    ]);
    expect(closePairs(swatches, 0)).toEqual([]);
  });

  it("put pairs that usual eyes confuse first", () => {
    const pairs = closePairs(
      [
        { id: "a", colours: ["#ff0000"] },
        { id: "b", colours: ["#fe0505"] },
        { id: "c", colours: ["#6b7a2e"] },
        { id: "d", colours: ["#8f6a2c"] },
      ],
      10,
    );
    expect(pairs[0]).toMatchObject({ a: "a", b: "b", vision: "usual" });
  });
});

describe("contrast", () => {
  it("is that of worked figures", () => {
    // Source: the formula of WCAG 2.2; 21, 4.54 for #767676 and 3.03 for #949494 on white are common worked figures, from memory.
    expect(contrast("#000000", "#ffffff")).toBeCloseTo(21, 9);
    expect(contrast("#767676", "#ffffff")).toBeCloseTo(4.54, 2);
    expect(contrast("#949494", "#ffffff")).toBeCloseTo(3.03, 2);
    expect(contrast("#ff0000", "#ffffff")).toBeCloseTo(3.998, 3);
  });

  it("is that of another library for every CSS colour", () => {
    for (const hex of cssColours) {
      expect(contrast(hex, "#ffffff")).toBeCloseTo(new Color(hex).contrast("white", "WCAG21"), 2);
    }
  });

  it("gives pale swatches an outline and a mark that reads", () => {
    expect(needsOutline(["#ffffff"], "#ffffff")).toBe(true);
    expect(needsOutline(["#949494"], "#ffffff")).toBe(false);
    expect(needsOutline(["#222222", "#eeeeee"], "#ffffff")).toBe(true);
    expect(readableOn(["#ffff00"])).toBe("#000000");
    expect(readableOn(["#2b3578"])).toBe("#ffffff");
    for (const hex of cssColours) {
      // One of black and white always reaches the square root of 21.
      expect(contrast(readableOn([hex]), hex)).toBeGreaterThan(4.58);
    }
  });
});

it("sorts by the eye: greys before hues, hues around the circle, light by OKLCH", () => {
  const order = ["#808080", "#e0627f", "#c4623f", "#f4cf2f", "#2e8b57", "#2b3578", "#6b3fa0"];
  expect(order.toSorted((a, b) => huePlace(a) - huePlace(b))[0]).toBe("#808080");
  for (const hex of order) expect(lightnessOf(hex)).toBeCloseTo(new Color(hex).to("oklch").l as number, 4);
  expect(huePlace("#2e8b57")).toBeCloseTo(new Color("#2e8b57").to("oklch").h as number, 1);
});
