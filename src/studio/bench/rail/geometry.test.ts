import { describe, expect, it } from "vitest";
import { dropPlace, headPlaces, nearestShare } from "./geometry.ts";

describe("arranging", () => {
  it("takes a dragged edge for the nearest of a quarter, a third, a half and the whole", () => {
    expect([200, 260, 300, 380, 500, 700, 900].map((width) => nearestShare(width, 1000))).toEqual([
      "quarter",
      "quarter",
      "third",
      "third",
      "half",
      "half",
      "full",
    ]);
  });

  it("drops before the row whose upper half is under the pointer, and at the end below all", () => {
    const rows = [0, 100, 200].map((top, i) => ({ id: String(i), left: 0, right: 200, top, bottom: top + 100 }));
    expect([10, 60, 140, 160, 290].map((y) => dropPlace(rows, 50, y))).toEqual([0, 1, 1, 2, 3]);
    const beside = [0, 100].map((left, i) => ({ id: String(i), left, right: left + 100, top: 0, bottom: 100 }));
    expect([10, 60, 120, 190].map((x) => dropPlace(beside, x, 90))).toEqual([0, 1, 1, 2]);
  });

  it("puts each head beside its row, and pushes down those that would lie over the one before", () => {
    expect(headPlaces([100, 110, 300], 26, 32)).toEqual([100, 126, 300]);
    // Side by side in a row above the products; then scrolled away, and in a drawer that is closed.
    expect(headPlaces([50, 50, 50], 26, 32)).toEqual([50, 76, 102]);
    expect(headPlaces([-40, 60], 26, 32)).toEqual([32, 60]);
    expect(headPlaces([undefined, undefined], 26, 32)).toEqual([32, 58]);
  });
});
