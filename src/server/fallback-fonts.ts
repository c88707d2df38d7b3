import { createFontStack } from "@capsizecss/core";
import type { ShippedFont } from "../core/look/fonts.ts";
import typefaces from "./font-metrics.json" with { type: "json" };

/** Numbers of a typeface. Those of the others are from `@capsizecss/metrics`, written by `scripts/font-metrics.mjs`. */
type Metrics = Parameters<typeof createFontStack>[0][number];

/** The default fonts of most Linux systems. Source: their files, version 2.37, read with `@capsizecss/unpack`. */
const dejaVu = (name: string, xWidthAvg: number): Metrics => ({
  familyName: name,
  fullName: name,
  postscriptName: name.replaceAll(" ", ""),
  ascent: 1901,
  descent: -483,
  lineGap: 0,
  unitsPerEm: 2048,
  xWidthAvg,
});

/**
 * System fonts by the generic fallback of a typeface: Windows and macOS, Android, Linux. Common practice, no source.
 */
const systems: readonly [fallback: RegExp, Metrics[]][] = [
  [/monospace$/, [typefaces.courierNew, dejaVu("DejaVu Sans Mono", 1233)]],
  [/sans-serif$/, [typefaces.arial, typefaces.roboto, dejaVu("DejaVu Sans", 1041)]],
  [/serif$/, [typefaces.georgia, typefaces.timesNewRoman, typefaces.notoSerif, dejaVu("DejaVu Serif", 1058)]],
];

const metrics: Readonly<Record<string, Metrics>> = {
  "bricolage-grotesque": typefaces.bricolageGrotesque,
  figtree: typefaces.figtree,
  "jetbrains-mono": typefaces.jetBrainsMono,
  karla: typefaces.karla,
  literata: typefaces.literata,
  newsreader: typefaces.newsreader,
  nunito: typefaces.nunito,
  outfit: typefaces.outfit,
};

/** Metrics-adjusted system fonts, so that lines have the same length and height as in the typeface that is loading. */
export interface Fallback {
  faces: string;
  /** The typeface's families in order of preference, as style sheets name them. */
  families: string;
}

/** The metrics-adjusted fallback of a shipped typeface, so that nothing moves when it loads. */
export function fallbackFont(font: ShippedFont): Fallback {
  const own = metrics[font.package];
  const [, others = []] = systems.find(([fallback]) => fallback.test(font.fallback)) ?? [];
  if (!own) return { faces: "", families: "" };
  const made = others.map((other, at) => {
    const { fontFamily, fontFaces } = createFontStack([own, other]);
    const [, long = ""] = fontFamily.split(", ");
    const family = `"${font.name} ${at + 1}"`;
    return { family, face: fontFaces.replaceAll(long, family).replace(/\s+/g, " ") };
  });
  return { faces: made.map(({ face }) => face).join(""), families: made.map(({ family }) => family).join(", ") };
}
