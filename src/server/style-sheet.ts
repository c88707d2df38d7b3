import { readFileSync } from "node:fs";
import { join } from "node:path";
import { transform } from "lightningcss";
import { type DisplayName, displayNames } from "../core/displays/displays.ts";
import { shippedFonts } from "../core/look/fonts.ts";
import { partRules } from "../core/look/sheet.ts";
import { defaultLookSheet } from "../core/panel/look/page-look.ts";
import type { Band } from "../core/settings/band.ts";
import { resolveBands } from "../core/settings/media.ts";
import { displayViews } from "../storefront/panel/displays/all.ts";
import { facesOf } from "./fonts.ts";
import { repository } from "./repository.ts";

const storefront = join(repository, "src/storefront");
export interface SheetRequest {
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
  return (stage ? facesOf(shippedFonts, "swap") : "") + minified(resolveBands(css, queries));
}

/** The sheets that any panel is drawn with, its displays aside. */
export const panelSheets = ["style/base.css", "panel/panel.css", "panel/drawer.css", "page/trouble.css"];

/** Display sheets in the order in which they hold, which is the same however many are used. */
const order = [...new Set(displayNames.flatMap((name) => displayViews[name].sheets))].map(
  (name) => `panel/displays/${name}`,
);

/** The sheets that some displays are drawn with, in the order in which they hold. */
export function displaySheets(displays: Iterable<DisplayName>): string[] {
  const names = new Set(
    [...displays].flatMap((name) => displayViews[name].sheets).map((name) => `panel/displays/${name}`),
  );
  return [...names].sort((a, b) => order.indexOf(a) - order.indexOf(b));
}

/** A sheet by its place in the storefront. */
export const sheetText = (file: string): string => readFileSync(join(storefront, file), "utf8");

const layer = (name: string, files: readonly string[]): string =>
  `@layer ${name} {\n${files.map(sheetText).join("\n")}\n}`;

const minified = (css: string): string =>
  new TextDecoder().decode(transform({ filename: "shop.css", code: new TextEncoder().encode(css), minify: true }).code);
