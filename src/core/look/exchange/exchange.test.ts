import fc from "fast-check";
import { transform } from "lightningcss";
import { describe, expect, it } from "vitest";
import { aLook } from "../../../../tests/random-look.ts";
import { defaultLimits } from "../../settings/band.ts";
import { emptyLook } from "../empty-look.ts";
import { shippedLooks } from "../looks/looks.ts";
import { toDesignTokens } from "./design-tokens.ts";
import { guessAll } from "./match-names.ts";
import { fromProperties, toProperties } from "./properties.ts";
import { fromDesignTokens, isOwnTokenFile, readForeign } from "./read-tokens.ts";

const written = (file: object) => JSON.stringify(file, null, 2);

describe("design tokens", () => {
  it("come in again as the same look", () => {
    fc.assert(
      fc.property(aLook(), (look) => {
        const text = written(toDesignTokens(look));
        expect(isOwnTokenFile(text)).toBe(true);
        expect(fromDesignTokens(text)).toEqual(look);
      }),
      { numRuns: 200 },
    );
    for (const { look } of shippedLooks) expect(fromDesignTokens(written(toDesignTokens(look)))).toEqual(look);
  });

  it("are as the format has them", () => {
    // Source: Design Tokens Format Module 2025.10: colours as components, dimensions and durations as value and unit.
    const look = {
      ...emptyLook("Look"),
      values: {
        accent: { wide: "#ff8000" },
        radius: { wide: 12, slim: 4 },
        "motion.time": { wide: 200 },
        "tile.ground": { wide: "{accent}" },
        "panel.shadow": { wide: { x: 0, y: 2, blur: 8, spread: 0, colour: "#00000080" } },
        "text.font": { wide: '"Karla Variable", sans-serif' },
        "title.case": { wide: "capitals" },
      },
    };
    expect(toDesignTokens(look)).toMatchObject({
      accent: {
        $root: {
          $type: "color",
          $value: { colorSpace: "srgb", components: [1, 0.502, 0], hex: "#ff8000" },
          $description: "Accent: accent",
        },
      },
      radius: {
        $root: {
          $type: "dimension",
          $value: { value: 12, unit: "px" },
          $extensions: { "zany-trellis": { slim: { value: 4, unit: "px" } } },
        },
      },
      motion: { time: { $type: "duration", $value: { value: 200, unit: "ms" } } },
      tile: { ground: { $root: { $type: "color", $value: "{accent.$root}" } } },
      panel: {
        shadow: {
          $type: "shadow",
          $value: {
            color: { colorSpace: "srgb", components: [0, 0, 0], alpha: 0.502 },
            offsetX: { value: 0, unit: "px" },
            offsetY: { value: 2, unit: "px" },
            blur: { value: 8, unit: "px" },
            spread: { value: 0, unit: "px" },
          },
        },
      },
      text: { font: { $type: "fontFamily", $value: ["Karla Variable", "sans-serif"] } },
      $extensions: { "zany-trellis": { values: { "title.case": { wide: "capitals" } } } },
    });
  });

  it("of another tool are read with their groups, types and references, as the format's examples have them", () => {
    // Source: examples of the Design Tokens Format Module 2025.10 on groups, type inheritance, aliases and each type; from memory.
    const found = readForeign(`{
      "token uno": { "$value": { "colorSpace": "srgb", "components": [1, 0, 0] }, "$type": "color" },
      "brand": {
        "$type": "color",
        "acid green": { "$value": { "colorSpace": "srgb", "components": [0, 1, 0.4], "alpha": 1, "hex": "#00ff66" } },
        "hot pink": { "$value": { "colorSpace": "srgb", "components": [0.851, 0, 0.467] } }
      },
      "Majestic magenta": { "$type": "color", "$value": { "colorSpace": "srgb", "components": [1, 0, 1], "alpha": 0.5 } },
      "spacing-stack-0": { "$value": { "value": 0, "unit": "rem" }, "$type": "dimension" },
      "spacing-stack-1": { "$value": { "value": 0.25, "unit": "rem" }, "$type": "dimension" },
      "Duration-100": { "$value": { "value": 100, "unit": "ms" }, "$type": "duration" },
      "Duration-2": { "$value": { "value": 0.2, "unit": "s" }, "$type": "duration" },
      "Primary font": { "$value": "Comic Sans MS", "$type": "fontFamily" },
      "Body font": { "$value": ["Helvetica", "Arial", "sans-serif"], "$type": "fontFamily" },
      "font-weight-default": { "$value": 350, "$type": "fontWeight" },
      "font-weight-thick": { "$value": "extra-bold", "$type": "fontWeight" },
      "line-height-large": { "$value": 2.3, "$type": "number" },
      "shadow-token": {
        "$type": "shadow",
        "$value": {
          "color": { "colorSpace": "srgb", "components": [0, 0, 0], "alpha": 0.5 },
          "offsetX": { "value": 0.5, "unit": "rem" }, "offsetY": { "value": 0.5, "unit": "rem" },
          "blur": { "value": 1.5, "unit": "rem" }, "spread": { "value": 0, "unit": "rem" }
        }
      },
      "group name": { "token name": { "$value": 1234, "$type": "number" } },
      "alias name": { "$value": "{group name.token name}" },
      "Ease": { "$type": "cubicBezier", "$value": [0.5, 0, 1, 1] },
      "color": { "accent": { "$root": { "$type": "color", "$value": "#dd0000" }, "light": { "$type": "color", "$value": "{color.accent.$root}" } } },
      "old size": { "$type": "dimension", "$value": "12px" }
    }`);
    expect(Object.fromEntries(found.map(({ path, value }) => [path, value]))).toEqual({
      "token uno": "#ff0000",
      "brand.acid green": "#00ff66",
      "brand.hot pink": "#d90077",
      "Majestic magenta": "#ff00ff80",
      "spacing-stack-0": 0,
      "spacing-stack-1": 4,
      "Duration-100": 100,
      "Duration-2": 200,
      "Primary font": '"Comic Sans MS"',
      "Body font": "Helvetica, Arial, sans-serif",
      "font-weight-default": 350,
      "font-weight-thick": 800,
      "line-height-large": 2.3,
      "shadow-token": { x: 8, y: 8, blur: 24, spread: 0, colour: "#00000080" },
      "group name.token name": 1234,
      "alias name": 1234,
      Ease: undefined,
      "color.accent.$root": "#dd0000",
      "color.accent.light": "#dd0000",
      "old size": 12,
    });
    expect(found.find(({ path }) => path === "alias name")?.reference).toBe("group name.token name");
  });

  it("of another tool are matched to ours by what people call things", () => {
    const colour = (hex: string) => ({ $type: "color", $value: hex });
    const found = readForeign(
      written({
        color: {
          text: { default: colour("#111111"), muted: colour("#666666"), onPrimary: colour("#ffffff") },
          background: { default: colour("#fafafa"), subtle: colour("#eeeeee") },
          border: { default: colour("#dddddd") },
          brand: { primary: colour("#aa3300"), "primary-hover": colour("#882200") },
          focus: { ring: colour("#0000ff") },
        },
        radius: { md: { $type: "dimension", $value: "6px" }, lg: { $type: "dimension", $value: "12px" } },
        font: { family: { body: { $type: "fontFamily", $value: ["Inter", "sans-serif"] } } },
      }),
    );
    expect(Object.fromEntries(guessAll(found))).toEqual({
      "color.text.default": "ink",
      "color.text.muted": "ink.quiet",
      "color.text.onPrimary": "accent.ink",
      "color.background.default": "ground",
      "color.background.subtle": "ground.tint",
      "color.border.default": "line",
      "color.brand.primary": "accent",
      "color.focus.ring": "focus",
      "radius.md": "radius",
      "radius.lg": "radius.large",
      "font.family.body": "text.font",
    });
  });

  it.each([
    ['{ "a": ', /Line 1: This is not valid JSON/],
    ["[]", /one JSON object/],
    ['{\n "a": { "$type": "color", "$value": "{b}" },\n "b": { "$value": "{a}" }\n}', /Line 2: “a” refers to itself/],
    ['{\n "a": { "$type": "color",\n "$value": "{nowhere}" } }', /Line 2: “a” refers to “nowhere”/],
  ])("refuse %s with the line", (text, reason) => {
    expect(() => readForeign(text)).toThrow(reason);
  });

  it("refuse what is no look of ours with the line", () => {
    const own = (tokens: string) => `{\n"$extensions": { "zany-trellis": {} },\n${tokens}\n}`;
    expect(() => fromDesignTokens(own('"tile": { "grund": { "$type": "color", "$value": "#fff" } }'))).toThrow(
      /Line 3: A look has no token “tile.grund”/,
    );
    expect(() => fromDesignTokens(own('"radius": { "$root": { "$type": "dimension", "$value": "12vw" } }'))).toThrow(
      /Line 3: “radius.\$root” is not a valid length/,
    );
    expect(() =>
      fromDesignTokens(
        own('"radius": { "$root": { "$type": "dimension", "$value": { "value": 9999, "unit": "px" } } }'),
      ),
    ).toThrow(/values.radius.wide must be a number/);
  });

  it("are read in no time, however many or deep they are", () => {
    const many = Object.fromEntries(
      Array.from({ length: 30_000 }, (_, n) => [`t${n}`, { $type: "number", $value: n }]),
    );
    expect(() => readForeign(JSON.stringify(many))).toThrow("more than 20000 tokens");
    expect(() => readForeign(" ".repeat(5_000_001))).toThrow("the limit is 5000000");
    const chain = Object.fromEntries(
      Array.from({ length: 5000 }, (_, n) => [`t${n}`, { $type: "number", $value: n === 0 ? 1 : `{t${n - 1}}` }]),
    );
    expect(readForeign(JSON.stringify(chain)).at(-1)?.value).toBe(1);
  });
});

describe("custom properties", () => {
  it("come in again as the same look, and are CSS to an independent parser", () => {
    fc.assert(
      fc.property(aLook(), (look) => {
        const css = toProperties(look, defaultLimits);
        expect(() => transform({ filename: "x.css", code: new TextEncoder().encode(css) })).not.toThrow();
        const back = fromProperties(css, look.name);
        expect(toProperties(back, defaultLimits)).toBe(css);
        expect(back.dark).toEqual(look.dark);
      }),
      { numRuns: 200 },
    );
  });

  it("tell choices apart that write the same under one end", () => {
    for (const place of ["after", "right edge", "top left", "top right", "bottom left", "bottom right"]) {
      const wide = { ...emptyLook("Look"), values: { "count.place": { wide: place } } };
      expect(fromProperties(toProperties(wide, defaultLimits), "Look").values).toEqual(wide.values);
    }
  });

  it.each([
    [":root {\n --zt-nothing: 1px; }", /Line 2: The look has no token --zt-nothing/],
    [":root {\n --zt-radius: 4em; }", /Line 2: --zt-radius is not a valid length/],
    [":root { --zt-ink: blurple }", /is not a valid colour/],
    ["@media print { :root { --zt-ink: red } }", /doesn’t match a band/],
    ["a { color: red }", /No custom property here begins with --zt-/],
    [":root { --zt-ink: var(--zt-ink) }", /follows itself/],
  ])("refuse %s", (css, reason) => {
    expect(() => fromProperties(css, "Look")).toThrow(reason);
  });
});
