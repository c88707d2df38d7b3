import { describe, expect, it } from "vitest";
import { bandAt, bandRange, bands, defaultLimits, isOwn, resolve, withBand, withoutBand } from "./band.ts";
import { firstScreens } from "./first-screen.ts";
import { bandQueries, fixedQueries, resolveBands, resolveScheme } from "./media.ts";

/** Whether a query of the kinds that are made here holds at a width. Source: Media Queries Level 4, min- and max-width. */
const holds = (query: string, width: number): boolean =>
  query === "all" ||
  (query !== "not all" &&
    [...query.matchAll(/\((min|max)-width: ([\d.]+)px\)/g)].every(([, end, px]) =>
      end === "min" ? width >= Number(px) : width <= Number(px),
    ));

describe("a band", () => {
  it.each([defaultLimits, { medium: 1, wide: 2 }, { medium: 600, wide: 600 }, { medium: 480, wide: 1440 }])(
    "is where its media query holds, and no other's does, whatever the limits (%o)",
    (limits) => {
      const queries = bandQueries(limits);
      // Widths in between come with a zoomed page.
      for (let width = 0; width < 1600; width += 0.25) {
        const on = bands.filter((band) => holds(queries[band], width));
        // Just below a limit none holds, by less than a fiftieth of a px, so that two never do.
        expect([width, on]).toEqual([width, [bandAt(width, limits)]]);
      }
    },
  );

  it("is told by the widths that it holds on", () => {
    expect(bands.map((band) => bandRange(band, defaultLimits))).toEqual(["from 1000", "750–999", "to 749"]);
    for (const band of bands) expect(bandAt(firstScreens[band].width, defaultLimits)).toBe(band);
  });

  it("can be held whatever the width", () => {
    for (const held of bands)
      for (const width of [1, 800, 2000])
        expect(bands.filter((band) => holds(fixedQueries(held)[band], width))).toEqual([held]);
  });
});

describe("a setting by band", () => {
  const every = [
    { wide: 1 },
    { wide: 1, medium: 2 },
    { wide: 1, slim: 2 },
    { wide: 1, medium: 2, slim: 3 },
    { wide: 1, medium: 2, slim: 1 },
  ];

  it("follows the wider band until it has its own", () => {
    expect(every.map((setting) => bands.map((band) => resolve(setting, band)))).toEqual([
      [1, 1, 1],
      [1, 2, 2],
      [1, 1, 2],
      [1, 2, 3],
      [1, 2, 1],
    ]);
  });

  it("is what it was set to on its band, and on every other band that does not follow it what it was", () => {
    for (const setting of every)
      for (const band of bands)
        for (const value of [1, 2, 3]) {
          const before = structuredClone(setting);
          const next = withBand(setting, band, value);
          expect(resolve(next, band)).toBe(value);
          expect(setting).toEqual(before);
          for (const other of bands.slice(0, bands.indexOf(band)))
            expect(resolve(next, other)).toBe(resolve(setting, other));
          for (const other of bands)
            if (isOwn(setting, other) && other !== band) expect(next[other]).toBe(setting[other]);
        }
  });

  it("has nothing of its own where it says what it would follow anyway", () => {
    expect(withBand({ wide: 1, slim: 2 }, "slim", 1)).toEqual({ wide: 1 });
    expect(withBand({ wide: 1, medium: 2 }, "slim", 2)).toEqual({ wide: 1, medium: 2 });
    expect(withoutBand({ wide: 1, medium: 2, slim: 3 }, "medium")).toEqual({ wide: 1, slim: 3 });
    expect(withoutBand({ wide: 1, medium: 2 }, "wide")).toEqual({ wide: 1, medium: 2 });
  });
});

describe("a style sheet by band and scheme", () => {
  const css = "@media (--wide) { a {} } @media (--medium) { b {} } @media (--slim) { c {} } @media (--dark) { d {} }";

  it("has the queries that are meant, each once, and nothing else changed", () => {
    const made = resolveScheme(resolveBands(css, bandQueries(defaultLimits)), "shopper");
    expect(made).toBe(
      "@media (min-width: 1000px) { a {} } @media (min-width: 750px) and (max-width: 999.98px) { b {} } @media (max-width: 749.98px) { c {} } @media (prefers-color-scheme: dark) { d {} }",
    );
    expect(resolveScheme(css, "light")).toContain("@media not all { d {} }");
    expect(resolveScheme(css, "dark")).toContain("@media all { d {} }");
  });
});
