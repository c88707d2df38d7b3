import { readFileSync } from "node:fs";
import { createRequire } from "node:module";
import { dirname, join } from "node:path";
import { fileURLToPath } from "node:url";
import { transform } from "lightningcss";
import type { Band } from "../core/band/band.ts";
import { resolveBands } from "../core/band/media.ts";
import { type DisplayName, displayNames } from "../core/display/displays.ts";
import { usualSheet } from "../core/look/page-look.ts";
import { partRules } from "../core/look/sheet.ts";
import { sheets } from "../storefront/panel/displays/sheets.ts";

const storefront = join(dirname(fileURLToPath(import.meta.url)), "../storefront");
const fontFolder = dirname(createRequire(import.meta.url).resolve("@fontsource-variable/newsreader/wght.css"));

/** Where the fonts that the style sheet names are served. */
export const fontAddress = "/storefront/fonts";
/** The font that is fetched at once, so that no text changes its width after the first paint. */
export const firstFont = `${fontAddress}/newsreader-latin-wght-normal.woff2`;
/** Where the fonts are kept. */
export const fontFiles = join(fontFolder, "files");

export interface Wanted {
  /** The media query of each band. */
  queries: Readonly<Record<Band, string>>;
  displays: Iterable<DisplayName>;
  /** The page stands on the designer's stage. */
  stage?: boolean;
}

/**
 * The style sheet of a shop's pages: tokens, the parts of a page, and the displays that are used, in cascade layers.
 * A shop's look comes in the layer behind the displays, what a designer writes by hand in the last.
 */
export function styleSheet({ queries, displays, stage = false }: Wanted): string {
  const parts = ["style/base.css", "panel/panel.css", "listing/listing.css", "shop/shop.css"];
  const names = new Set([...displays].flatMap((name) => sheets[name]).map((name) => `panel/displays/${name}`));
  const css = [
    "@layer base, parts, displays, look, custom;",
    `@layer base {\n${usualSheet()}}`,
    layer("base", parts),
    `@layer parts {\n${partRules()}}`,
    layer(
      "displays",
      [...names].sort((a, b) => order.indexOf(a) - order.indexOf(b)),
    ),
    ...(stage ? [layer("custom", ["stage/stage.css"])] : []),
  ].join("\n");
  return fonts + minified(resolveBands(css, queries));
}

/** Display sheets in the order in which they hold, which is the same however many are used. */
const order = [...new Set(displayNames.flatMap((name) => sheets[name]))].map((name) => `panel/displays/${name}`);

const layer = (name: string, files: readonly string[]): string =>
  `@layer ${name} {\n${files.map((file) => readFileSync(join(storefront, file), "utf8")).join("\n")}\n}`;

const minified = (css: string): string =>
  new TextDecoder().decode(transform({ filename: "shop.css", code: new TextEncoder().encode(css), minify: true }).code);

const fonts = readFileSync(join(fontFolder, "wght.css"), "utf8").replaceAll("./files/", `${fontAddress}/`);
