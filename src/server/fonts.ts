import { readFileSync } from "node:fs";
import { createRequire } from "node:module";
import { dirname, join } from "node:path";
import { fontsNamedIn, type ShippedFont, shippedFonts } from "../core/look/fonts.ts";
import { fallbackFont } from "./fallback-fonts.ts";

/** Where the typefaces that ship are served, a folder each. */
export const fontAddress = "/storefront/fonts";

const { resolve } = createRequire(import.meta.url);
const folderOf = (font: ShippedFont): string => dirname(resolve(`@fontsource-variable/${font.package}/wght.css`));

/** The folder of a typeface in addresses: its package and version, so that its content never changes. */
function placeOf(font: ShippedFont): string {
  const { version } = JSON.parse(readFileSync(join(folderOf(font), "package.json"), "utf8")) as { version: string };
  return `${font.package}-${version.replaceAll(".", "-")}`;
}

const places = new Map(shippedFonts.map((font) => [font, placeOf(font)]));

/** By what addresses call it, the folder with the files of a typeface. */
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
 * When a typeface shows: whenever it comes, or where it is there for the first frame and otherwise from the next page on,
 * so that nothing moves once it is read.
 */
export type FontDisplay = "swap" | "optional";

/** The rules that name the files of typefaces. A browser fetches those that a page has letters of. */
export const facesOf = (fonts: readonly ShippedFont[], display: FontDisplay): string =>
  fonts
    .map((font) => faces.get(font) ?? "")
    .join("")
    .replaceAll("font-display: swap", `font-display: ${display}`);

/** The fallback of each, computed once: every page that is drawn needs it. */
const fallbacks = new Map(shippedFonts.map((font) => [font, fallbackFont(font)]));

/**
 * CSS in which every typeface that ships is followed by what stands in for it until it is there, and the rules that
 * name the files of all of them.
 */
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

/** The file of a typeface that is fetched at once, so that it is mostly there before the first paint. */
export const firstFileOf = (font: ShippedFont): string =>
  `${fontAddress}/${places.get(font)}/${font.package}-latin-wght-normal.woff2`;
