import { readFileSync } from "node:fs";
import { join } from "node:path";
import { type DisplayName, displayNames } from "../core/displays/displays.ts";
import { shippedFonts } from "../core/look/fonts.ts";
import { partRules } from "../core/look/sheet.ts";
import { defaultLookSheet } from "../core/panel/look/page-look.ts";
import type { Band } from "../core/settings/band.ts";
import { resolveBands } from "../core/settings/media.ts";
import { displayViews } from "../storefront/panel/displays/all.ts";
import { facesOf } from "./fonts.ts";
import { minifyCss } from "./minify-css.ts";
import { isBuild, repository } from "./repository.ts";

/** The folder of the style sheets: the sources, or their copies in the build. */
const storefront = join(repository, isBuild ? "dist/handoff/sheets" : "src/storefront");

export interface SheetRequest {
  /** The media query of each band. */
  queries: Readonly<Record<Band, string>>;
  displays: Iterable<DisplayName>;
  /** For a page on the designer's stage. */
  stage?: boolean;
}

/**
 * The style sheet of a shop's pages: tokens, page parts, and the displays in use, in cascade layers. The shop's look
 * goes into the layer after the displays, the designer's own CSS into the last.
 */
export function styleSheet({ queries, displays, stage = false }: SheetRequest): string {
  const shop = ["bars", "page", "phone", "slots"].map((name) => `shop/${name}.css`);
  const parts = [...panelSheets, "listing/listing.css", ...shop];
  const css = [
    "@layer base, parts, displays, look, custom;",
    `@layer base {\n${defaultLookSheet()}}`,
    layer("base", parts),
    `@layer parts {\n${partRules()}}`,
    layer("displays", displaySheets(displays)),
    ...(stage ? [layer("custom", ["stage/stage.css"])] : []),
  ].join("\n");
  return (stage ? facesOf(shippedFonts, "swap") : "") + minifyCss(resolveBands(css, queries));
}

/** The sheets of every panel, without its displays. */
export const panelSheets = [
  "style/base.css",
  "panel/panel.css",
  "panel/placement.css",
  "panel/drawer.css",
  "page/trouble.css",
];

/** Display sheets in cascade order, the same for any selection of them. */
const order = [...new Set(displayNames.flatMap((name) => displayViews[name].sheets))].map(
  (name) => `panel/displays/${name}`,
);

/** The sheets of some displays, in cascade order. */
export function displaySheets(displays: Iterable<DisplayName>): string[] {
  const names = new Set(
    [...displays].flatMap((name) => displayViews[name].sheets).map((name) => `panel/displays/${name}`),
  );
  return [...names].sort((a, b) => order.indexOf(a) - order.indexOf(b));
}

/** A sheet by its path in the storefront. */
export const sheetText = (file: string): string => readFileSync(join(storefront, file), "utf8");

const layer = (name: string, files: readonly string[]): string =>
  `@layer ${name} {\n${files.map(sheetText).join("\n")}\n}`;
