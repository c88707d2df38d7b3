import Color from "colorjs.io";
import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { aLook } from "../../../tests/random-look.ts";
import { contrast } from "../swatch/measure.ts";
import { auditLook, fingerTarget, groundsUnder, type LookIssue, minTarget, needed } from "./audit.ts";
import { alphaOf, hexOf, nearestPassing, over } from "./colour.ts";
import { fixAll, fixFor } from "./contrast-fix.ts";
import { shippedLooks } from "./looks/looks.ts";
import type { TokenValues } from "./resolve.ts";
import { tokens } from "./tokens.ts";

const look = (values: Readonly<Record<string, string | number>>, dark: Record<string, string> = {}) => ({
  values: Object.fromEntries(Object.entries(values).map(([name, value]) => [name, { wide: value }])) as TokenValues,
  dark,
});
const faults = (misses: readonly LookIssue[]) => misses.filter(({ offered }) => !offered);
const found = (misses: readonly LookIssue[], token: string, state = "rest") =>
  misses.find((miss) => miss.token === token && miss.state === state);

describe("a colour that is typed", () => {
  // Source: CSS Color Module Level 4, hexadecimal notation and named colours.
  it("keeps how much it covers, in every way to write it", () => {
    expect(hexOf("#ffffff00")).toBe("#ffffff00");
    expect(hexOf("#fff8")).toBe("#ffffff88");
    expect(hexOf("transparent")).toBe("#00000000");
    expect(hexOf("rgb(255 255 255 / 50%)")).toBe("#ffffff80");
    expect([hexOf("#1D4A3B"), hexOf("teal"), hexOf("no colour")]).toEqual(["#1d4a3b", "#008080", undefined]);
  });
});

describe("colours", () => {
  it("lie over each other as the reference library composites them", () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 0xffffff }),
        fc.integer({ min: 0, max: 255 }),
        fc.integer({ min: 0, max: 0xffffff }),
        (top, alpha, under) => {
          const hex = (code: number) => `#${code.toString(16).padStart(6, "0")}`;
          const seen = over(hex(top) + alpha.toString(16).padStart(2, "0"), hex(under));
          // Source: simple alpha compositing of CSS Color Module Level 4, here by colorjs.io's mixing in encoded sRGB.
          const mixed = new Color(hex(under)).mix(new Color(hex(top)), alpha / 255, {
            space: "srgb",
            outputSpace: "srgb",
          });
          const own = new Color(seen).coords;
          for (const [n, value] of mixed.coords.entries())
            expect(Math.abs((own[n] ?? 0) - (value ?? 0))).toBeLessThan(0.5 / 255 + 1e-9);
        },
      ),
    );
    expect(alphaOf("#00000080")).toBeCloseTo(128 / 255);
    expect(over("#ff0000", "#00ff00")).toBe("#ff0000");
  });

  it("pass when mended, by the reference library too, with the hue kept", () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 0xffffff }),
        fc.constantFrom("#ffffff", "#000000", "#fbf7f0", "#1a1526"),
        fc.constantFrom(3, 4.5, 7),
        (code, ground, ratio) => {
          const hex = `#${code.toString(16).padStart(6, "0")}`;
          const passing = nearestPassing(hex, [ground], ratio);
          if (passing === undefined) throw new Error("Against one ground there is always a colour.");
          // Source: WCAG 2.2 contrast ratio, computed by colorjs.io. It weighs red, green and blue by sRGB's unrounded
          // shares of luminance, the standard by those with four places: at most 3 parts in 10,000 between them.
          const reference = new Color(passing).contrast(new Color(ground), "WCAG21");
          expect(reference).toBeGreaterThanOrEqual(ratio * (1 - 3e-4));
          expect(Math.abs(reference / contrast(passing, ground) - 1)).toBeLessThan(3e-4);
          expect(contrast(passing, ground)).toBeGreaterThanOrEqual(ratio);
          if (contrast(hex, ground) >= ratio) expect(passing).toBe(hex);
          const [before, after] = [new Color(hex).to("oklch").coords, new Color(passing).to("oklch").coords];
          const turn = Math.abs((before[2] ?? 0) - (after[2] ?? 0));
          if ((before[1] ?? 0) > 0.08 && (after[1] ?? 0) > 0.08) expect(Math.min(turn, 360 - turn)).toBeLessThan(6);
        },
      ),
      { numRuns: 300 },
    );
    expect(nearestPassing("#808080", ["#000000", "#ffffff"], 7)).toBeUndefined();
  });
});

describe("judging a look", () => {
  it("finds nothing in the usual look and in those that ship, in any state, on any band, in the light or dark", () => {
    expect(faults(auditLook({ values: {}, dark: {} }))).toEqual([]);
    for (const one of shippedLooks) expect(faults(auditLook(one.look)), one.look.name).toEqual([]);
  });

  it("judges text by its size: 4.5, and 3 where it is large", () => {
    // Source: #767676 on white is 4.54:1 and #777777 4.48:1, a well-known pair at the limit of WCAG 1.4.3.
    expect(found(auditLook(look({ "title.ink": "#767676" })), "title.ink")).toBeUndefined();
    expect(found(auditLook(look({ "title.ink": "#777777" })), "title.ink")).toMatchObject({
      needed: 4.5,
      seen: { as: "text" },
    });
    expect(found(auditLook(look({ "title.ink": "#777777", "title.size": 24 })), "title.ink")).toBeUndefined();
    expect(
      found(auditLook(look({ "title.ink": "#777777", "title.size": 19, "title.weight": 700 })), "title.ink"),
    ).toBeUndefined();
    expect(
      found(auditLook(look({ "title.ink": "#777777", "title.size": 19, "title.weight": 600 })), "title.ink"),
    ).toBeDefined();
  });

  it("judges on the ground that is really there: the panel's over the page's, a drawer's, a list's", () => {
    const onDark = auditLook(look({ "panel.ground": "#222222" }));
    expect(found(onDark, "title.ink")?.seen?.grounds).toContain("#222222");
    expect(found(auditLook(look({ "drawer.ground": "#222222" })), "title.ink")).toBeDefined();
    const inMenu = found(auditLook(look({ "menu.ground": "#222222" })), "option.ink");
    expect(inMenu?.seen?.grounds).toEqual(["#ffffff", "#222222"]);
    expect(found(auditLook(look({ "menu.ground": "#222222" })), "title.ink")).toBeUndefined();
    // Half of black over white is grey.
    expect(found(auditLook(look({ "panel.ground": "#00000080" })), "hint.ink")?.seen?.grounds[0]).toBe("#7f7f7f");
  });

  it("judges each state by itself, and words also where nothing can be chosen", () => {
    const misses = auditLook(look({ "tile.ink.hovered": "#dddddd", "tile.ink.unavailable": "#bbbbbb" }));
    expect(found(misses, "tile.ink")).toBeUndefined();
    expect(found(misses, "tile.ink.hovered", "hovered")).toBeDefined();
    expect(found(misses, "tile.ink.unavailable", "unavailable")).toBeDefined();
    // A control that cannot be used needs no contrast. Source: WCAG 2.2, 1.4.11, inactive components.
    expect(
      found(auditLook(look({ "box.edge.unavailable": "#fafafa" })), "box.edge.unavailable", "unavailable"),
    ).toBeUndefined();
  });

  it("takes one of two for a control: its line or its ground", () => {
    expect(found(auditLook(look({ "box.edge": "#eeeeee", "box.edge.hovered": "#eeeeee" })), "box.edge")).toMatchObject({
      needed: 3,
    });
    expect(found(auditLook(look({ "box.edge": "#eeeeee", "box.ground": "#777777" })), "box.edge")).toBeUndefined();
  });

  it("judges the focus mark, and a second set of colours for itself", () => {
    expect(found(auditLook(look({ focus: "#cccccc" })), "focus", "focused")).toMatchObject({ needed: needed.focus });
    const dark = auditLook(look({}, { "ground.page": "#101010", ground: "#101010" }));
    expect(dark.some(({ scheme, token }) => scheme === "dark" && token === "title.ink")).toBe(true);
    expect(dark.some(({ scheme }) => scheme === "light" && faults(dark).length === 0)).toBe(false);
  });

  it("judges no box where a picture stands in its place, and tells one that is the same when chosen", () => {
    const pale = { "box.edge": "#eeeeee" };
    const misses = auditLook(look({ ...pale, "box.picture": "/pictures/a/box.svg" }));
    expect(found(misses, "box.edge")).toBeUndefined();
    expect(found(auditLook(look(pale)), "box.edge")).toBeDefined();
    expect(misses.filter(({ kind }) => kind === "same picture")).toMatchObject([{ part: "box", state: "chosen" }]);
    const both = { "box.picture": "/pictures/a/box.svg", "box.picture.chosen": "/pictures/a/tick.svg" };
    expect(auditLook(look(both)).some(({ kind }) => kind === "same picture")).toBe(false);
  });

  it("finds what is told by colour alone", () => {
    const alike = {
      "tile.ground.chosen": "#f0f4f0",
      "tile.edge.chosen": "#7d8f86",
      "tile.ink.chosen": "#16352b",
      "tile.count.chosen": "#16352b",
    };
    expect(auditLook(look(alike)).find(({ kind }) => kind === "alone")).toMatchObject({ part: "tile" });
    expect(
      auditLook(look({ ...alike, "tile.edge-width.chosen": 3 })).find(
        ({ kind, part }) => kind === "alone" && part === "tile",
      ),
    ).toBeUndefined();
    expect(
      auditLook(look({ ...alike, "tile.weight.chosen": 700 })).find(
        ({ kind, part }) => kind === "alone" && part === "tile",
      ),
    ).toBeUndefined();
  });

  it("finds small targets, and offers more for a finger", () => {
    // Source: WCAG 2.2, 2.5.8: 24 by 24 CSS px, or as much room between.
    expect(found(auditLook(look({ "option.height": 20 })), "option.height")).toMatchObject({
      is: 20,
      needed: minTarget,
    });
    expect(found(auditLook(look({ "swatch.size": 16, "swatch.gap": 8 })), "swatch.size")).toBeUndefined();
    expect(found(auditLook(look({ "swatch.size": 16, "swatch.gap": 4 })), "swatch.size")).toMatchObject({
      needed: minTarget,
    });
    const small = found(auditLook(look({ "option.height": 30 })), "option.height");
    expect(small).toMatchObject({ offered: true, needed: fingerTarget, bands: ["slim"] });
  });

  it("tells the worst first, what is only offered last", () => {
    const misses = auditLook(look({ "title.ink": "#eeeeee", "hint.ink": "#888888", "option.height": 30 }));
    const shares = faults(misses).map(({ is, needed: of }) => is / of);
    expect(shares).toEqual([...shares].sort((a, b) => a - b));
    expect(misses.at(-1)?.offered).toBe(true);
  });

  it("tells a picker what its colour must be told from", () => {
    const token = tokens.get("tile.ink.chosen");
    if (!token) throw new Error("There is that token.");
    expect(groundsUnder(look({ accent: "#123456" }), token, "wide", "light")).toEqual({
      grounds: ["#123456"],
      needed: 4.5,
    });
  });
});

describe("mending", () => {
  it("takes the nearest colour that passes, at the token that helps most", () => {
    const faint = look({ "ink.quiet": "#b0b0b0" });
    const miss = auditLook(faint)[0];
    if (!miss) throw new Error("There is a miss.");
    const mend = fixFor(faint, miss);
    expect(mend?.token.name).toBe("ink.quiet");
    expect(contrast(String(mend?.value), "#ffffff")).toBeGreaterThanOrEqual(4.5);
    expect(contrast(String(mend?.value), "#ffffff")).toBeLessThan(5.5);
  });

  it("gives the chosen a wider line where its ground is too much like the others'", () => {
    // #6fbf9a has 2.2:1 on white; the line of tags and toggles is the tile's.
    const pale = look({ accent: "#6fbf9a", "accent.ink": "#ffffff" });
    const alone = faults(auditLook(pale)).filter(({ kind }) => kind === "alone");
    expect(new Set(alone.map(({ token }) => token))).toEqual(new Set(["tile.edge-width.chosen"]));
    expect(faults(auditLook(fixAll(pale)))).toEqual([]);
  });

  it("leaves nothing to mend that can be mended, in any look with opaque grounds", () => {
    fc.assert(
      fc.property(aLook(), (any) => {
        // See-through colours are over one ground or another, and have no nearest colour of their own.
        const opaque = Object.fromEntries(
          Object.entries(any.values).flatMap(([name, value]) =>
            value && Object.values(value).every((one) => typeof one !== "string" || one.length !== 9)
              ? [[name, value]]
              : [],
          ),
        );
        const before = { values: opaque, dark: {} };
        const after = fixAll(before);
        const left = faults(auditLook(after)).filter((miss) => fixFor(after, miss) !== undefined);
        expect(left).toEqual([]);
        for (const { token } of auditLook(before)) expect(tokens.has(token), token).toBe(true);
        expect(faults(auditLook(after)).length).toBeLessThanOrEqual(faults(auditLook(before)).length);
      }),
      { numRuns: 15 },
    );
  }, 120_000);
});
