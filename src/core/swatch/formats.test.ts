import Color from "colorjs.io";
import { describe, expect, it } from "vitest";
import { readColour, readSwatchCsv, readTokens, type SwatchLine, writeSwatchCsv, writeTokens } from "./formats.ts";

const lines: SwatchLine[] = [
  { field: "flower-colour", name: "Sage", entry: { colours: ["#9cab86"] } },
  {
    field: "flower-colour",
    name: "White / pink, mixed",
    entry: { colours: ["#fbfaf4", "#f1a1b8"], drawing: "stripes", alt: 'White with "pink"' },
  },
  { field: "brand", name: "Ardle", entry: { picture: `/pictures/a/${"0".repeat(64)}.svg` } },
];

describe("a colour typed by hand", () => {
  it("is any that CSS knows", () => {
    // Source: CSS Color Module Level 4; the same colours as the package colorjs.io reads them.
    for (const text of [
      "#abc",
      "#9CAB86",
      "seagreen",
      "rgb(156 171 134)",
      "rgb(156, 171, 134)",
      "rgb(60% 20% 10%)",
      "hsl(95 18% 60%)",
      "hsl(95deg, 18%, 60%)",
      "hwb(95 53% 33%)",
      "lab(68% -10 17)",
      "lch(68% 20 120)",
      "oklab(0.7 -0.03 0.05)",
      "oklch(0.7 0.06 125)",
      "color(srgb 0.6 0.67 0.52)",
    ]) {
      const found = [1, 3, 5].map((at) => Number.parseInt(readColour(text)?.slice(at, at + 2) ?? "", 16));
      const other = new Color(text).to("srgb").coords.map((part) => (part as number) * 255);
      for (const [i, byte] of found.entries()) expect(Math.abs(byte - other[i]), text).toBeLessThanOrEqual(0.6);
    }
  });

  it("is nothing else", () => {
    for (const text of ["", "sage", "#12", "url(x)", "var(--x)", "12", "#9cab8g"])
      expect(readColour(text), text).toBeUndefined();
  });
});

describe("swatches as CSV", () => {
  it("come back as they went out", () => {
    expect(readSwatchCsv(writeSwatchCsv(lines))).toEqual({ lines, problems: [] });
  });

  it("are taken from plain lines in any separator", () => {
    expect(readSwatchCsv("Sage, #9cab86\nSea green / white, seagreen white\nDusk, rgb(10, 20, 30)").lines).toEqual([
      { name: "Sage", entry: { colours: ["#9cab86"] } },
      { name: "Sea green / white", entry: { colours: ["#2e8b57", "#ffffff"] } },
      { name: "Dusk", entry: { colours: ["#0a141e"] } },
    ]);
    expect(readSwatchCsv("Sage\t#9cab86\nRust\toklch(0.5 0.1 40)").lines.map(({ name }) => name)).toEqual([
      "Sage",
      "Rust",
    ]);
  });

  it("say which line is wrong and what to do", () => {
    const { lines: good, problems } = readSwatchCsv(
      "Sage, #9cab86\nRust, rusty\n, #000000\nAll, red blue green white black",
    );
    expect(good).toHaveLength(1);
    expect(problems).toEqual([
      {
        row: 2,
        text: expect.any(String),
        message: "“rusty” is not a colour. Write it like #9cab86, seagreen, or rgb(156 171 134).",
      },
      { row: 3, text: expect.any(String), message: "The name is missing. Write it like: Sage, #9cab86" },
      { row: 4, text: expect.any(String), message: "A value has at most four colours. Remove some." },
    ]);
  });
});

describe("swatches as design tokens", () => {
  it("have the members of the format, and come back", () => {
    // Source: Design Tokens Community Group, Format and Color modules, 2025.10.
    const tokens = writeTokens(lines);
    expect(tokens).toEqual({
      "flower-colour": {
        $type: "color",
        Sage: { $value: { colorSpace: "srgb", components: [0.6118, 0.6706, 0.5255], hex: "#9cab86" } },
        "White / pink, mixed": {
          "1": { $value: { colorSpace: "srgb", components: [0.9843, 0.9804, 0.9569], hex: "#fbfaf4" } },
          "2": { $value: { colorSpace: "srgb", components: [0.9451, 0.6314, 0.7216], hex: "#f1a1b8" } },
        },
      },
    });
    expect(readTokens(JSON.parse(JSON.stringify(tokens)))).toEqual([
      { field: "flower-colour", name: "Sage", entry: { colours: ["#9cab86"] } },
      { field: "flower-colour", name: "White / pink, mixed", entry: { colours: ["#fbfaf4", "#f1a1b8"] } },
    ]);
  });

  it("are read from other colour spaces, and passed over where they are no colours", () => {
    const read = readTokens({
      palette: {
        $type: "color",
        Rust: { $value: { colorSpace: "oklch", components: [0.5, 0.1, 40] } },
        Sage: { $value: "#9cab86" },
        Space: { $value: "8px" },
        $description: "none",
      },
      $schema: "x",
    });
    expect(read.map(({ name, entry }) => [name, entry.colours?.[0]])).toEqual([
      ["Rust", readColour("oklch(0.5 0.1 40)")],
      ["Sage", "#9cab86"],
    ]);
    for (const nothing of [null, 3, "x", [], {}]) expect(readTokens(nothing)).toEqual([]);
  });
});

describe("lines of a name and its colours", () => {
  it("are read with a comma, a colon, or nothing between the two", () => {
    const text =
      "Senfgelb #d3a22b\nMoosgrün: #5e6b34\nSage, #9cab86\nSea green / white: #2e8b57 #ffffff\nRust = rgb(168 72 42)\nNo colour";
    const { lines: read, problems } = readSwatchCsv(text);
    expect(read.map(({ name, entry }) => [name, ...(entry.colours ?? [])])).toEqual([
      ["Senfgelb", "#d3a22b"],
      ["Moosgrün", "#5e6b34"],
      ["Sage", "#9cab86"],
      ["Sea green / white", "#2e8b57", "#ffffff"],
      ["Rust", "#a8482a"],
      ["No colour"],
    ]);
    expect(problems).toEqual([]);
  });
});
