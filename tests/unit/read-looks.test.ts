import { readFileSync } from "node:fs";
import { join } from "node:path";
import { fileURLToPath } from "node:url";
import { describe, expect, it } from "vitest";
import { familiesIn } from "../../src/core/look/fonts.ts";
import { together } from "../../src/core/look/from-css/bring.ts";
import { readPicture } from "../../src/core/look/from-css/picture-colours.ts";
import { type LookReading, readLook } from "../../src/core/look/from-css/read-look.ts";
import { evaluateCalc, readAnyColour, readLength, withVariables } from "../../src/core/look/from-css/values.ts";
import { type Answer, keptApart, lookedAt } from "./read-looks.answers.ts";

const packages = fileURLToPath(new URL("../../node_modules", import.meta.url));
const of = (readings: readonly LookReading[], token: string) => readings.find((one) => one.token === token)?.value;
const read = (css: string, html?: string) => readLook({ sheets: [{ name: "shop.css", css }], html });

function answersOf({ package: name, file }: Pick<Answer, "package" | "file">) {
  const readings = read(readFileSync(join(packages, name, file), "utf8"));
  return {
    font: familiesIn(String(of(readings, "text.font")))[0],
    ink: of(readings, "ink"),
    // A page without a ground of its own is white.
    ground: of(readings, "ground") ?? "#ffffff",
    accent: of(readings, "accent"),
    radius: of(readings, "radius"),
  };
}

describe("looks read from open CSS frameworks", () => {
  // Source: the frameworks' documentation, see the answers. The first half was seen while the reader was written.
  it.each([...lookedAt, ...keptApart].map((answer) => [answer.package, answer] as const))("%s", (_name, answer) => {
    const { package: name, file, ...expected } = answer;
    expect(answersOf({ package: name, file })).toEqual(expected);
  });
});

describe("a look read from a shop's own style sheet", () => {
  it("says where each value was found, and how often", () => {
    const readings = read(
      "body {\n color: #222;\n}\n.btn-primary { background: #a30; color: #fff; border-radius: 8px }\n.x { border-radius: 8px }",
    );
    expect(readings.find(({ token }) => token === "ink")).toEqual({
      token: "ink",
      value: "#222222",
      where: { file: "shop.css", line: 2, selector: "body", property: "color", value: "#222" },
      times: 1,
    });
    expect(readings.find(({ token }) => token === "radius")).toMatchObject({ value: 8, times: 2, where: { line: 4 } });
    expect(of(readings, "accent")).toBe("#aa3300");
  });

  it("looks at the elements of a saved page, with the cascade over them", () => {
    const page = `<!doctype html><html><head><link rel="stylesheet" href="/assets/theme.css?v=3"><link rel="stylesheet" href="/assets/gone.css">
      <style>.buy { background: var(--brand) !important }</style></head>
      <body class="dark"><main><h3>Shoes</h3><button class="buy">Buy</button></main></body></html>`;
    const brought = together([
      { name: "page.html", text: page },
      {
        name: "theme.css",
        text: ":root { --brand: #0a7 } body { background: white; color: #111 } body.dark { background: #123; color: #eef } .buy { background: red } h3 { color: gold; font-weight: 800 }",
      },
    ]);
    expect(brought.missing).toEqual(["gone.css"]);
    const readings = readLook(brought);
    expect(of(readings, "ground")).toBe("#112233");
    expect(of(readings, "ink")).toBe("#eeeeff");
    expect(of(readings, "accent")).toBe("#00aa77");
    expect(of(readings, "title.ink")).toBe("#ffd700");
    expect(of(readings, "title.weight")).toBe(800);
  });

  it("takes the stronger selector, the later rule and what is important, and leaves other media alone", () => {
    const css =
      "main p { color: red } body { color: #333 } @media print { body { color: #000 } } @media (max-width: 600px) { body { color: #999 } } @media (min-width: 60em) { body { color: #444 } } @media (prefers-color-scheme: dark) { body { background: #000 } }";
    expect(of(read(css), "ink")).toBe("#444444");
    expect(of(read(css), "ground")).toBeUndefined();
    expect(of(read("body { color: #111 !important } body { color: #222 } html body { color: #333 }"), "ink")).toBe(
      "#111111",
    );
  });

  it("ends on what is hostile or broken", () => {
    expect(read("}}}{{{ a{color:red")).toBeDefined();
    expect(read(":root { --a: var(--b); --b: var(--a) } body { color: var(--a, var(--b)) }")).toEqual([]);
    const doubling = Array.from({ length: 60 }, (_, n) => `--v${n + 1}: var(--v${n}) var(--v${n})`).join(";");
    expect(read(`:root { --v0: red; ${doubling} } body { color: var(--v60) }`)).toEqual([]);
    expect(() => read("a{".repeat(500))).toThrow("100 brackets");
    expect(() => read(" ".repeat(5_000_001))).toThrow("the limit is 5000000");
    expect(
      read('body { font-family: "</style><script>"; color: url(javascript:x) }')
        .map(({ value }) => String(value))
        .join(),
    ).not.toMatch(/[<>;{}]/);
  });
});

describe("values of style sheets", () => {
  it("are computed as CSS computes them", () => {
    // Source: examples of CSS Values and Units Level 4 on calc(), and of CSS Color Level 4 and 5; from memory.
    expect(evaluateCalc("2 * (3px + 4px)")).toEqual({ n: 14, unit: "px" });
    expect(evaluateCalc("100% / 3")?.n).toBeCloseTo(33.333, 3);
    expect(evaluateCalc("1px + 1em")).toBeUndefined();
    expect(readLength("calc(1rem + 0.5rem)", 20, 16)).toBe(24);
    expect(readLength("1.5em", 20, 16)).toBe(30);
    expect(readLength("auto", 20, 16)).toBeUndefined();
    expect(readAnyColour("hsl(120deg 100% 25%)")).toBe("#008000");
    expect(readAnyColour("rgb(0 0 0 / 50%)")).toBe("#00000080");
    expect(readAnyColour("hsl(221, 14%, calc(20% + 9%))")).toBe("#404654");
    expect(readAnyColour("color-mix(in srgb, red 50%, blue)")).toBe("#800080");
    expect(readAnyColour("nonsense")).toBeUndefined();
    expect(
      withVariables(
        "var(--a, 1px) var(--b)",
        new Map([
          ["--b", "var(--c)"],
          ["--c", "2px"],
        ]),
      ),
    ).toBe("1px 2px");
    expect(withVariables("var(--a)", new Map())).toBeUndefined();
  });
});

describe("colours read from a picture", () => {
  it("are its ground, its text and its most colourful part", () => {
    const [width, height] = [60, 40];
    const data = new Uint8ClampedArray(width * height * 4);
    const paint = (from: number, to: number, [r, g, b]: readonly [number, number, number]) => {
      for (let at = from; at < to; at++) data.set([r, g, b, 255], at * 4);
    };
    paint(0, width * height, [250, 248, 240]);
    for (let row = 8; row < 14; row++) paint(row * width + 5, row * width + 40, [34, 34, 40]);
    for (let row = 20; row < 30; row++) paint(row * width + 10, row * width + 30, [190, 60, 20]);
    const readings = readPicture("shot.png", { data, width, height });
    expect(of(readings, "ground")).toBe("#faf8f0");
    expect(of(readings, "ink")).toBe("#222228");
    expect(of(readings, "accent")).toBe("#be3c14");
  });
});
