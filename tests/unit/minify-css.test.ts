import { readdirSync, readFileSync } from "node:fs";
import { join } from "node:path";
import { transform } from "lightningcss";
import { describe, expect, it } from "vitest";
import { defaultLimits } from "../../src/core/settings/band.ts";
import { bandQueries, resolveBands } from "../../src/core/settings/media.ts";
import { minifyCss } from "../../src/server/minify-css.ts";

const root = "src/storefront";
const sheets = readdirSync(root, { recursive: true, encoding: "utf8" }).filter((file) => file.endsWith(".css"));

/** The sheet as another library understands it. Values with variables keep their spaces there, which mean nothing beside these signs. */
const understood = (css: string): string =>
  new TextDecoder()
    .decode(transform({ filename: "sheet.css", code: new TextEncoder().encode(css), minify: true }).code)
    .replaceAll(/ ?([(),/*]) ?/g, "$1");

describe("a style sheet in fewer bytes", () => {
  it.each(sheets)("%s has the same rules for lightningcss", (file) => {
    const css = resolveBands(readFileSync(join(root, file), "utf8"), bandQueries(defaultLimits));
    const short = minifyCss(css);
    expect(short.length).toBeLessThan(css.length);
    expect(understood(short)).toBe(understood(css));
  });

  it("keeps what is newer than its parser, and custom properties as they are written", () => {
    expect(minifyCss("@future (x) { a { b: c } }\n.a { --x: { 1 } ; --y:  a  b; }")).toMatch(
      /@future.*\{.*--x:.*--y:/s,
    );
  });
});
