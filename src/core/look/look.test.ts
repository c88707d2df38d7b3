import fc from "fast-check";
import { transform } from "lightningcss";
import { describe, expect, it } from "vitest";
import { aLook } from "../../../tests/random-look.ts";
import { edited } from "../document/edit.ts";
import { checkDocument } from "../document/kind.ts";
import { defaultLookSheet, pageLook } from "../panel/look/page-look.ts";
import { emptyPanel, newFacet } from "../panel/panel.ts";
import { defaultLimits } from "../settings/band.ts";
import { bandQueries, resolveBands, resolveScheme } from "../settings/media.ts";
import { addStyle, changeStyle, removeStyle, resetToken, setDark, setToken, setTokens, takeLook } from "./edit.ts";
import { emptyLook } from "./empty-look.ts";
import { lookKind } from "./kind.ts";
import { shippedLooks } from "./looks/looks.ts";
import { dependents, referencesOf, valueOn } from "./resolve.ts";
import { partRules, propertyOf } from "./sheet.ts";
import { parts, statesOf, type Token, tokens } from "./tokens.ts";
import { referenceIn } from "./value.ts";

const token = (name: string): Token => {
  const found = tokens.get(name);
  if (!found) throw new Error(`There is not a token ${name}.`);
  return found;
};
const plain = { values: {}, dark: {} };
const resolved = (css: string) => resolveScheme(resolveBands(css, bandQueries(defaultLimits)), "shopper");
/** An independent parser's reading of some CSS. It throws for invalid CSS. */
const parsed = (css: string): string =>
  new TextDecoder().decode(transform({ filename: "look.css", code: new TextEncoder().encode(css), minify: true }).code);

describe("tokens", () => {
  it("have a name each, a value that fits on every band, and follow what there is", () => {
    expect(new Set([...tokens.keys()].map(propertyOf)).size).toBe(tokens.size);
    for (const one of tokens.values())
      for (const band of ["wide", "medium", "slim"] as const) {
        expect(valueOn(plain, one.name, band), `${one.name} on ${band}`).toBeDefined();
        for (const value of Object.values(one.fallback)) {
          const reference = value === undefined ? undefined : referenceIn(value);
          if (reference !== undefined) expect(token(reference).type, one.name).toBe(one.type);
        }
      }
  });

  it("are there for each state that a part has and a property differs by", () => {
    const tile = parts.tile;
    if (!tile?.properties.ground || !tile.properties.radius) throw new Error("There is a tile.");
    expect(statesOf(tile, tile.properties.ground)).toEqual([
      "rest",
      "hovered",
      "focused",
      "chosen",
      "chosen-hovered",
      "unavailable",
    ]);
    expect(statesOf(tile, tile.properties.radius)).toEqual(["rest"]);
    expect(referencesOf(plain, "tile.ground.chosen-hovered")).toEqual(["tile.ground.chosen", "accent"]);
    expect(referencesOf(plain, "tile.ink.focused")).toEqual(["tile.ink", "ink"]);
  });

  it("change with what they follow, by any number of steps", () => {
    const changed = dependents(plain, ["accent"]);
    for (const name of [
      "accent",
      "tile.ground.chosen",
      "tile.ground.chosen-hovered",
      "toggle.ground.chosen",
      "link.ink",
    ])
      expect(changed).toContain(name);
    expect(changed).not.toContain("tile.ground");
  });
});

describe("a look", () => {
  it("sets a token on a band and on those that follow it, and gives it back", () => {
    const start = emptyLook("Look");
    const wide = edited(start, setToken(token("radius"), "wide", 12));
    expect(valueOn(wide, "tile.radius", "slim")).toBe(12);
    const slim = edited(wide, setToken(token("radius"), "slim", 2));
    expect(valueOn(slim, "tile.radius", "medium")).toBe(12);
    expect(valueOn(slim, "tile.radius", "slim")).toBe(2);
    expect(edited(slim, resetToken(token("radius"), "slim"))).toEqual(wide);
    expect(edited(wide, resetToken(token("radius"), "wide"))).toEqual(start);
    // Values with their own band from the start keep it until that is changed.
    const tall = edited(start, setToken(token("tile.height"), "wide", 60));
    expect(valueOn(tall, "tile.height", "slim")).toBe(44);
  });

  it("has a second set of colours for the dark, which everything that follows them takes", () => {
    const dark = edited(emptyLook("Look"), setDark(token("ink"), "#eeeeee"));
    expect(valueOn(dark, "title.ink", "wide", "dark")).toBe("#eeeeee");
    expect(valueOn(dark, "title.ink", "wide", "light")).toBe("#16352b");
    expect(edited(dark, setDark(token("ink"), undefined))).toEqual(emptyLook("Look"));
  });

  it("keeps option styles, and takes over another look as one step", () => {
    const one = edited(emptyLook("Look"), addStyle("s", "Pills", { "tile.radius": { wide: 20 } }));
    const two = edited(one, changeStyle("s", "Rename", { name: "Round" }));
    expect(two.styles).toEqual([{ id: "s", name: "Round", values: { "tile.radius": { wide: 20 } } }]);
    expect(edited(two, removeStyle("s")).styles).toEqual([]);
    const [salt] = shippedLooks;
    if (!salt) throw new Error("There are looks.");
    const taken = edited(two, takeLook("Take Salt", salt.look));
    expect({ ...taken, name: "" }).toEqual({ ...salt.look, name: "" });
    expect(edited(two, setTokens("Two", { accent: { wide: "#112233" } })).values.accent).toEqual({ wide: "#112233" });
  });

  it("is refused with the place of what is wrong in it", () => {
    const put = (change: object) => () => checkDocument(lookKind, { ...emptyLook("Look"), ...change });
    expect(put({})).not.toThrow();
    expect(put({ values: { "tile.grund": { wide: "#ffffff" } } })).toThrow("values.tile.grund is not a token");
    expect(put({ values: { ink: { wide: "red" } } })).toThrow("values.ink.wide must be a colour like #1d4a3b");
    expect(put({ values: { ink: { slim: "#ffffff" } } })).toThrow("values.ink must have a value for the wide band");
    expect(put({ values: { ink: { wide: "{radius}" } } })).toThrow("can’t follow “radius”, which is a length");
    expect(put({ values: { ink: { wide: "{nowhere}" } } })).toThrow("follows “nowhere”, which doesn’t exist");
    expect(put({ values: { radius: { wide: Number.POSITIVE_INFINITY } } })).toThrow("must be a number from 0 to 400");
    expect(put({ values: { "title.case": { wide: "shouted" } } })).toThrow("must be one of as written, capitals");
    expect(put({ values: { "box.picture": { wide: "https://elsewhere.example/x.png" } } })).toThrow("beginning with /");
    expect(put({ values: { "box.picture": { wide: '/x"); color: red' } } })).toThrow("beginning with /");
    for (const font of ["a; } body { color: red", '"un', "a,,b", "url(x)", "</style>"])
      expect(put({ values: { "text.font": { wide: font } } }), font).toThrow("must be font families");
    expect(put({ values: { accent: { wide: "{accent.ink}" }, "accent.ink": { wide: "{accent}" } } })).toThrow(
      /values.accent.* follows itself/,
    );
    expect(put({ dark: { radius: 4 } })).toThrow("only colours have a second value for dark");
    const style = { id: "a", name: "A", values: {} };
    expect(put({ styles: [style, style] })).toThrow("styles[1].id “a” appears twice");
    expect(put({ css: "a { color: red } @import 'x';" })).toThrow("css, line 1, column 18: @import isn’t allowed");
  });
});

describe("the style sheet of a look", () => {
  it("is CSS to an independent parser, for any look, and every rule and value is still there", () => {
    expect(() => parsed(defaultLookSheet() + partRules())).not.toThrow();
    fc.assert(
      fc.property(aLook(), (look) => {
        const css = parsed(resolved(pageLook(look, [])));
        for (const name of Object.keys(look.values)) expect(css).toContain(`${propertyOf(name)}:`);
      }),
      { numRuns: 100 },
    );
  });

  it("takes every token somewhere, in the state that it is of", () => {
    const rules = partRules();
    const usual = defaultLookSheet();
    for (const one of tokens.values()) {
      const used = rules.includes(`var(${propertyOf(one.name)}`) || usual.includes(`var(${propertyOf(one.name)})`);
      expect(used || one.to.length === 0, one.name).toBe(true);
      if (one.state === "chosen" && one.part === "tile") expect(rules).toContain(`.zt-tile:has(:checked)`);
    }
  });

  it("says for a facet what differs and all that follows it, and nothing else", () => {
    const look = { ...emptyLook("Look"), values: { accent: { wide: "#aa0000" } } };
    const row = { ...newFacet("f", "light", "tiles", "any"), look: { accent: { wide: "#00aa00" } } };
    const css = pageLook(look, [{ slug: "p", panel: { ...emptyPanel("P"), rows: [row] } }]);
    const own = css.slice(css.indexOf('[data-of="p"] [data-row="f"]'));
    expect(own).toContain("--zt-accent: #00aa00;");
    expect(own).toContain("--zt-tile-ground-chosen: var(--zt-accent);");
    expect(own).not.toContain("--zt-ink:");
  });

  it("draws a panel in a look of its own from what is usual, not from the shop's", () => {
    const shop = { ...emptyLook("Shop"), values: { radius: { wide: 30 }, accent: { wide: "#aa0000" } } };
    const own = { ...emptyLook("Own"), values: { accent: { wide: "#0000aa" } } };
    const css = pageLook(shop, [{ slug: "p", panel: emptyPanel("P"), look: own }]);
    const panel = css.slice(css.indexOf('[data-of="p"]'));
    expect(panel).toContain("--zt-accent: #0000aa;");
    expect(panel).toContain("--zt-radius: 4px;");
    expect(panel).toContain("--zt-tile-radius: var(--zt-radius);");
  });

  it("gives a facet the option style of its look, and what is its own over it", () => {
    const look = edited(
      emptyLook("Look"),
      addStyle("s", "Pills", { "tile.radius": { wide: 20 }, "tile.padding": { wide: 18 } }),
    );
    const row = { ...newFacet("f", "light", "tiles", "any"), style: "s", look: { "tile.radius": { wide: 1 } } };
    const css = pageLook(look, [{ slug: "p", panel: { ...emptyPanel("P"), rows: [row] } }]);
    expect(css).toContain("--zt-tile-radius: 1px;");
    expect(css).toContain("--zt-tile-padding: 18px;");
    expect(
      pageLook(look, [{ slug: "p", panel: { ...emptyPanel("P"), rows: [{ ...row, style: "gone" }] } }]),
    ).not.toContain("tile-padding");
  });
});

describe("the looks that ship", () => {
  it.each(shippedLooks.map(({ look }) => [look.name, look] as const))("%s is valid", (_name, look) => {
    expect(checkDocument(lookKind, look)).toEqual(look);
  });
});
