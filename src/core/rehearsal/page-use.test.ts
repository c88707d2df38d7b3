import { describe, expect, it } from "vitest";
import type { Visit } from "../api/visit.ts";
import { wilsonInterval } from "../catalogue/numbers/wilson.ts";
import { pageUse } from "./page-use.ts";
import { VisitReader } from "./visit-report.ts";

describe("the use of a page", () => {
  it("adds its bands up, and leaves other pages out", () => {
    const reader = new VisitReader(Date.parse("2026-11-30T12:00:00Z"));
    const line = (changes: Partial<Visit>) =>
      reader.add(
        JSON.stringify({ format: 1, at: "2026-11-30T09:15:00Z", page: "/", band: "wide", act: "see", ...changes }),
      );
    for (const [n, band] of (["wide", "wide", "slim", "slim"] as const).entries()) line({ tab: `t${n}`, band });
    line({ tab: "t0", act: "choose", field: "light", chosen: ["shade"] });
    line({ tab: "t2", band: "slim", act: "choose", field: "light", chosen: ["shade"] });
    line({ tab: "t2", band: "slim", act: "remove", field: "light", chosen: ["shade"] });
    line({ tab: "t3", band: "slim", act: "unfold", field: "light" });
    line({ tab: "t1", act: "nothing", text: "Yew" });
    line({ tab: "t3", band: "slim", act: "nothing", text: "yew" });
    line({ tab: "other", page: "/brands/a", act: "choose", field: "light", chosen: ["shade"] });
    const use = pageUse(reader.report(), "/");
    const [low, high] = wilsonInterval(2, 4);
    expect(use?.visits).toBe(4);
    expect(use?.fields.get("light")).toEqual({
      used: 2,
      chosen: 2,
      removed: 1,
      low,
      high,
      removedLow: wilsonInterval(1, 2)[0],
      unfolded: 1,
      left: 1,
      leftLow: wilsonInterval(1, 1)[0],
    });
    expect(use?.soughtInVain).toEqual([{ words: "yew", visits: 2 }]);
    expect(use?.fields.get("price")).toBeUndefined();
    expect(pageUse(reader.report(), "/", ["price", "light"])?.fields.get("price")).toMatchObject({ used: 0, low: 0 });
    expect(pageUse(reader.report(), "/", ["price", "light"])?.fields.get("light")).toEqual(use?.fields.get("light"));
    expect(pageUse(reader.report(), "/brands/b")).toBeUndefined();
  });
});
