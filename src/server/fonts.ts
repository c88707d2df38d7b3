import { readFileSync } from "node:fs";
import { createRequire } from "node:module";
import { dirname, join } from "node:path";
import { type ShippedFont, shippedFonts } from "../core/look/fonts.ts";

/** Where the typefaces that ship are served, a folder each. */
export const fontAddress = "/storefront/fonts";

const { resolve } = createRequire(import.meta.url);
const folderOf = (font: ShippedFont): string => dirname(resolve(`@fontsource-variable/${font.package}/wght.css`));

/** By the name of its package, the folder with the files of a typeface. */
export const fontFolders: ReadonlyMap<string, string> = new Map(
  shippedFonts.map((font) => [font.package, join(folderOf(font), "files")]),
);

const faces = new Map(
  shippedFonts.map((font) => [
    font,
    readFileSync(join(folderOf(font), "wght.css"), "utf8")
      .replaceAll("./files/", `${fontAddress}/${font.package}/`)
      .replace(/\/\*.*?\*\//gs, ""),
  ]),
);

/** The rules that name the files of typefaces. A browser fetches those that a page has letters of. */
export const facesOf = (fonts: readonly ShippedFont[]): string => fonts.map((font) => faces.get(font) ?? "").join("");

/** The file of a typeface that is fetched at once, so that no text changes its width after the first paint. */
export const firstFileOf = (font: ShippedFont): string =>
  `${fontAddress}/${font.package}/${font.package}-latin-wght-normal.woff2`;
