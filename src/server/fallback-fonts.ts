import { createFontStack } from "@capsizecss/core";
import arial from "@capsizecss/metrics/arial";
import bricolageGrotesque from "@capsizecss/metrics/bricolageGrotesque";
import courierNew from "@capsizecss/metrics/courierNew";
import figtree from "@capsizecss/metrics/figtree";
import georgia from "@capsizecss/metrics/georgia";
import jetBrainsMono from "@capsizecss/metrics/jetBrainsMono";
import karla from "@capsizecss/metrics/karla";
import literata from "@capsizecss/metrics/literata";
import newsreader from "@capsizecss/metrics/newsreader";
import notoSerif from "@capsizecss/metrics/notoSerif";
import nunito from "@capsizecss/metrics/nunito";
import outfit from "@capsizecss/metrics/outfit";
import roboto from "@capsizecss/metrics/roboto";
import timesNewRoman from "@capsizecss/metrics/timesNewRoman";
import type { ShippedFont } from "../core/look/fonts.ts";

type Metrics = Parameters<typeof createFontStack>[0][number];

/** The fonts of most Linux systems. Source: its files, version 2.37, read with `@capsizecss/unpack`. */
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

/** By what a typeface falls back to, what systems have: Windows and macOS, Android, Linux. Common practice, no source. */
const systems: readonly [fallback: RegExp, Metrics[]][] = [
  [/monospace$/, [courierNew, dejaVu("DejaVu Sans Mono", 1233)]],
  [/sans-serif$/, [arial, roboto, dejaVu("DejaVu Sans", 1041)]],
  [/serif$/, [georgia, timesNewRoman, notoSerif, dejaVu("DejaVu Serif", 1058)]],
];

const metrics: Readonly<Record<string, Metrics>> = {
  "bricolage-grotesque": bricolageGrotesque,
  figtree,
  "jetbrains-mono": jetBrainsMono,
  karla,
  literata,
  newsreader,
  nunito,
  outfit,
};

/** Faces of a system's own typefaces, widened and placed so that a line is as long and as high as in the typeface to come. */
export interface Fallback {
  faces: string;
  /** The families in which they are named, in the order in which they are tried; as style sheets name them. */
  families: string;
}

/** The fallback of a shipped typeface until it has loaded, so that nothing moves then. */
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
