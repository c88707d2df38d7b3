import { readdirSync, readFileSync } from "node:fs";
import { join } from "node:path";
import * as csstree from "css-tree";
import { parse as parseColour } from "culori";
import { describe, expect, it } from "vitest";
import { propertyOf } from "../../core/look/sheet.ts";
import { tokens } from "../../core/look/tokens.ts";
import { displayViews } from "../panel/displays/all.ts";

const storefront = "src/storefront";
const files = readdirSync(storefront, { recursive: true, encoding: "utf8" }).filter((file) => file.endsWith(".css"));

/** Shares of what is around, turns and lines of text are no sizes of their own. */
const relative = new Set(["%", "fr", "vw", "vh", "dvh", "deg", "lh"]);
const free = new Set(["transparent", "currentcolor", "inherit", "none"]);

/** Values written out in a style sheet where a token should be used. */
function literalsIn(css: string): string[] {
  const found: string[] = [];
  csstree.walk(csstree.parse(css, { positions: true, parseCustomProperty: true }), function visit(node) {
    const { declaration } = this;
    if (!declaration) return;
    const where = `${declaration.property}: ${csstree.generate(declaration.value)}`;
    if (node.type === "Dimension" && !relative.has(node.unit)) found.push(where);
    else if (node.type === "Hash") found.push(where);
    else if (node.type === "Function" && /^(?:rgb|hsl|hwb|lab|lch|oklab|oklch|color)a?$/.test(node.name))
      found.push(where);
    else if (node.type === "Identifier" && !free.has(node.name.toLowerCase()) && !node.name.startsWith("--")) {
      const colour = /color|background|border|outline|shadow|mask|fill|stroke/.test(declaration.property);
      if (colour && parseColour(node.name)) found.push(where);
      if (declaration.property === "font-family") found.push(where);
    } else if (node.type === "Number" && declaration.property === "font-weight") found.push(where);
  });
  return found;
}

describe("the storefront's style sheets", () => {
  it("are told from tokens alone: the check finds what it looks for", () => {
    expect(literalsIn("a { color: #fff }")).toHaveLength(1);
    expect(literalsIn("a { color: red; background: rgb(0 0 0) }")).toHaveLength(2);
    expect(literalsIn("a { padding: 0 4px; transition: color 120ms }")).toHaveLength(2);
    expect(literalsIn("a { font-family: Georgia; font-weight: 600; --x: 3em }")).toHaveLength(3);
    expect(
      literalsIn(
        "a { color: var(--zt-ink); width: calc(50% - var(--zt-line-width)); inset: 0; background: transparent }",
      ),
    ).toEqual([]);
  });

  it.each(files.map((file) => [file] as const))("%s holds no colour, size, font or time of its own", (file) => {
    let css = readFileSync(join(storefront, file), "utf8");
    // The tool's own marks keep their look whatever the shop's is; their colours are named once, at its head.
    const isOfTool = /^(?:stage|notes)/.test(file);
    if (isOfTool) css = css.replace(/:(?:root|host) \{[^}]*\}/, "");
    const own = isOfTool ? literalsIn(css).filter((one) => /#|color|background/.test(one)) : literalsIn(css);
    expect(own).toEqual([]);
  });

  it("name no token that there is not", () => {
    const known = new Set(
      [...tokens.values()].flatMap((token) =>
        Object.keys(Object.values(token.choices ?? { only: { "": "" } })[0] ?? {}).map(
          (end) => propertyOf(token.name) + end,
        ),
      ),
    );
    // Set by the panel's own behaviour, and by the sheet that all have in common.
    for (const one of ["--zt-drawer-width", "--zt-drawer-share", "--zt-nudge", "--zt-float"]) known.add(one);
    for (const file of files)
      for (const [, name = ""] of readFileSync(join(storefront, file), "utf8").matchAll(/var\((--zt-[\w-]+)/g))
        expect(known, `${file}: ${name}`).toContain(name);
  });

  it("are there for every display", () => {
    for (const { sheets: names } of Object.values(displayViews))
      for (const name of names) expect(files).toContain(`panel/displays/${name}`);
  });
});
