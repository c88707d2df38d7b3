import {
  type Color,
  differenceCiede2000,
  filterDeficiencyDeuter,
  filterDeficiencyProt,
  filterDeficiencyTrit,
  formatHex,
  type Lrgb,
  lrgb,
  oklch,
  type Rgb,
  wcagContrast,
} from "culori";

/**
 * Colour difference between two colours. Source: CIEDE2000 as in Sharma, Wu and Dalal (2005), from
 * the package culori.
 */
export const deltaE: (a: Color | string, b: Color | string) => number = differenceCiede2000();

/** Contrast ratio. Source: WCAG 2.2, relative luminance and contrast ratio, from the package culori. */
export const contrast = (a: string, b: string): number => wcagContrast(a, b);

/** Ways to see colours: normal vision, and each of the three complete deficiencies. */
export const visions = ["usual", "protan", "deutan", "tritan"] as const;
export type Vision = (typeof visions)[number];

/**
 * The appearance of a colour with a complete deficiency. Source: Machado, Oliveira and Fernandes (2009), the matrices
 * of the package culori. They apply to linear light; the package would apply them to encoded values.
 */
const seen: Record<Vision, (colour: string) => string> = {
  usual: (colour) => colour,
  protan: filterOf(filterDeficiencyProt(1)),
  deutan: filterOf(filterDeficiencyDeuter(1)),
  tritan: filterOf(filterDeficiencyTrit(1)),
};

function filterOf(filter: (colour: Rgb) => Rgb): (colour: string) => string {
  return (colour) => {
    const { r, g, b } = lrgb(colour) as Lrgb;
    return formatHex({ ...filter({ mode: "rgb", r, g, b }), mode: "lrgb" });
  };
}

/** A colour as someone sees it. */
export const seenAs = (colour: string, vision: Vision): string => seen[vision](colour);

/**
 * The difference of two swatches: the largest colour difference of their colours, paired in the order that makes it
 * smallest. Swatches with different numbers of colours are always distinguishable.
 * @param difference of two colours. Default: {@link deltaE}
 */
export function swatchDifference(
  a: readonly string[],
  b: readonly string[],
  vision: Vision = "usual",
  difference: (one: string, other: string) => number = deltaE,
): number {
  if (a.length !== b.length) return Number.POSITIVE_INFINITY;
  const seen = (colours: readonly string[]) => colours.map((colour) => seenAs(colour, vision));
  const [x, y] = [seen(a), seen(b)];
  const turns = y.map((_, turn) =>
    x.reduce((most, colour, i) => Math.max(most, difference(colour, y[(i + turn) % y.length] ?? colour)), 0),
  );
  return Math.min(...turns);
}

/** Two values whose swatches could be confused. */
export interface ClosePair {
  a: string;
  b: string;
  /** The smallest difference, and the vision with which it occurs: normal vision if that is below the limit already. */
  difference: number;
  vision: Vision;
}

/**
 * The difference of two swatches: for normal vision if that is below the limit, otherwise for the vision that
 * distinguishes them least.
 */
export function smallestDifference(
  a: readonly string[],
  b: readonly string[],
  limit: number,
  of?: (one: string, other: string) => number,
): Pick<ClosePair, "difference" | "vision"> {
  const seen = (vision: Vision) => ({ vision, difference: swatchDifference(a, b, vision, of) });
  const usual = seen("usual");
  return usual.difference < limit
    ? usual
    : visions.map(seen).reduce((least, one) => (one.difference < least.difference ? one : least), usual);
}

/** Pairs of swatches below the limit, closest first; those too close for normal vision come before the others. */
export function closePairs(
  swatches: readonly { id: string; colours: readonly string[] }[],
  limit: number,
): ClosePair[] {
  const pairs: ClosePair[] = [];
  for (const [i, a] of swatches.entries()) {
    for (const b of swatches.slice(i + 1)) {
      const close = smallestDifference(a.colours, b.colours, limit);
      if (close.difference < limit) pairs.push({ a: a.id, b: b.id, ...close });
    }
  }
  return pairs.sort(
    (a, b) => Number(a.vision !== "usual") - Number(b.vision !== "usual") || a.difference - b.difference,
  );
}

/** Minimum contrast of a control with its background. Source: WCAG 2.2, success criterion 1.4.11. */
export const lowestContrast = 3;

/** Minimum contrast of text with its background. Source: WCAG 2.2, success criterion 1.4.3. */
export const lowestTextContrast = 4.5;

/** Whether a swatch needs an outline to be visible on its background. */
export const needsOutline = (colours: readonly string[], ground: string): boolean =>
  colours.some((colour) => contrast(colour, ground) < lowestContrast);

/** Black or white, whichever reads better on all of some colours. */
export function readableOn(colours: readonly string[]): "#000000" | "#ffffff" {
  const least = (mark: string) => Math.min(...colours.map((colour) => contrast(mark, colour)));
  return least("#000000") >= least("#ffffff") ? "#000000" : "#ffffff";
}

/** Visual orders of swatches. */
export const swatchOrders = ["name", "count", "hue", "lightness"] as const;
export type SwatchOrder = (typeof swatchOrders)[number];

/** Position of a colour on the hue circle, greys first; in degrees of OKLCH. */
export function huePlace(colour: string): number {
  const { c = 0, h = 0 } = oklch(colour) ?? {};
  return c < 0.03 ? -1 : h;
}

/** Lightness of a colour from 0 to 100. Source: CIE L*, from culori. */
export const lightnessOf = (colour: string): number => oklch(colour)?.l ?? 0;
