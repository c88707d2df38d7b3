import { readFileSync } from "node:fs";
import { createRequire } from "node:module";
import { dirname, join } from "node:path";
import { fontsNamedIn, type ShippedFont, shippedFonts } from "../core/look/fonts.ts";
import { fallbackFont } from "./fallback-fonts.ts";

/** Where the shipped typefaces are served, a folder each. */
export const fontAddress = "/storefront/fonts";

const { resolve } = createRequire(import.meta.url);
const folderOf = (font: ShippedFont): string => dirname(resolve(`@fontsource-variable/${font.package}/wght.css`));

/** The folder of a typeface in addresses: its package and version, so that its content never changes. */
function placeOf(font: ShippedFont): string {
  const { version } = JSON.parse(readFileSync(join(folderOf(font), "package.json"), "utf8")) as { version: string };
  return `${font.package}-${version.replaceAll(".", "-")}`;
}

const places = new Map(shippedFonts.map((font) => [font, placeOf(font)]));

/** The folder with a typeface's files, by its folder in addresses. */
export const fontFolders: ReadonlyMap<string, string> = new Map(
  [...places].map(([font, place]) => [place, join(folderOf(font), "files")]),
);

const faces = new Map(
  shippedFonts.map((font) => [
    font,
    readFileSync(join(folderOf(font), "wght.css"), "utf8")
      .replaceAll("./files/", `${fontAddress}/${places.get(font)}/`)
      .split("*/")
      .map((text) => text.split("/*", 1)[0])
      .join(""),
  ]),
);

/**
 * When a typeface appears: as soon as it has loaded, or only if it is there for the first frame, otherwise on the next
 * page, so that nothing moves while reading.
 */
export type FontDisplay = "swap" | "optional";

/** The `@font-face` rules of typefaces. A browser fetches only files with letters that a page uses. */
export const facesOf = (fonts: readonly ShippedFont[], display: FontDisplay): string =>
  fonts
    .map((font) => faces.get(font) ?? "")
    .join("")
    .replaceAll("font-display: swap", `font-display: ${display}`);

/** The fallback of each, computed once: every page that is drawn needs it. */
const fallbacks = new Map(shippedFonts.map((font) => [font, fallbackFont(font)]));

/** CSS in which every shipped typeface is followed by its fallback, and the `@font-face` rules of all of them. */
export function withFallbacks(css: string, display: FontDisplay): { css: string; faces: string } {
  const fonts = fontsNamedIn(css);
  return {
    css: fonts.reduce((now, font) => {
      const families = fallbacks.get(font)?.families;
      return families ? now.replaceAll(`"${font.family}",`, `"${font.family}", ${families},`) : now;
    }, css),
    faces: facesOf(fonts, display) + fonts.map((font) => fallbacks.get(font)?.faces ?? "").join(""),
  };
}

/** The file of a typeface to preload, so that it is usually there before the first paint. */
export const firstFileOf = (font: ShippedFont): string =>
  `${fontAddress}/${places.get(font)}/${font.package}-latin-wght-normal.woff2`;
