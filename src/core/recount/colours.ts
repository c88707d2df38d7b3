/**
 * Colour difference and contrast computed from the standards' own formulas, without the package that the tool's
 * numbers come from: an independent check of those.
 */

const channels = (hex: string): [number, number, number] => {
  const at = (place: number) => Number.parseInt(hex.slice(place, place + 2), 16) / 255;
  return [at(1), at(3), at(5)];
};

/** Source: IEC 61966-2-1, sRGB to linear light. */
const linear = (value: number): number => (value <= 0.04045 ? value / 12.92 : ((value + 0.055) / 1.055) ** 2.4);

/** Source: WCAG 2.2, relative luminance. */
function luminance(hex: string): number {
  const [r, g, b] = channels(hex).map(linear);
  return 0.2126 * (r ?? 0) + 0.7152 * (g ?? 0) + 0.0722 * (b ?? 0);
}

/** The contrast ratio of two colours as `#rrggbb`, from 1 to 21. Source: WCAG 2.2, contrast ratio. */
export function contrastAgain(a: string, b: string): number {
  const [dark, light] = [luminance(a), luminance(b)].sort((x, y) => x - y);
  return ((light ?? 0) + 0.05) / ((dark ?? 0) + 0.05);
}

/** CIE L*a*b* under D65, sRGB's own white. Source: CSS Color Module Level 4, sample code: sRGB to XYZ; CIE 15, XYZ to L*a*b*. */
function labOf(hex: string): [number, number, number] {
  const [r = 0, g = 0, b = 0] = channels(hex).map(linear);
  const x = 0.4123908 * r + 0.3575843 * g + 0.1804808 * b;
  const y = 0.212639 * r + 0.7151687 * g + 0.0721923 * b;
  const z = 0.0193308 * r + 0.1191948 * g + 0.9505322 * b;
  const white = [0.9504559, 1, 1.0890578];
  const [fx = 0, fy = 0, fz = 0] = [x, y, z].map((value, at) => {
    const t = value / (white[at] ?? 1);
    return t > 216 / 24389 ? Math.cbrt(t) : ((24389 / 27) * t + 16) / 116;
  });
  return [116 * fy - 16, 500 * (fx - fy), 200 * (fy - fz)];
}

const rad = (degrees: number): number => (degrees * Math.PI) / 180;
const hueOf = (a: number, b: number): number =>
  a === 0 && b === 0 ? 0 : ((Math.atan2(b, a) * 180) / Math.PI + 360) % 360;

/**
 * Colour difference of two colours as `#rrggbb`.
 * Source: Sharma, Wu and Dalal (2005), “The CIEDE2000 color-difference formula”, equations 2 to 22.
 */
export function deltaEAgain(one: string, other: string): number {
  const [l1, a1, b1] = labOf(one);
  const [l2, a2, b2] = labOf(other);
  const meanC = (Math.hypot(a1, b1) + Math.hypot(a2, b2)) / 2;
  const g = 0.5 * (1 - Math.sqrt(meanC ** 7 / (meanC ** 7 + 25 ** 7)));
  const [x1, x2] = [a1 * (1 + g), a2 * (1 + g)];
  const [c1, c2] = [Math.hypot(x1, b1), Math.hypot(x2, b2)];
  const [h1, h2] = [hueOf(x1, b1), hueOf(x2, b2)];
  const grey = c1 * c2 === 0;
  const turn = grey ? 0 : h2 - h1 > 180 ? h2 - h1 - 360 : h2 - h1 < -180 ? h2 - h1 + 360 : h2 - h1;
  const dH = 2 * Math.sqrt(c1 * c2) * Math.sin(rad(turn / 2));
  const [l, c] = [(l1 + l2) / 2, (c1 + c2) / 2];
  const h = grey
    ? h1 + h2
    : Math.abs(h1 - h2) <= 180
      ? (h1 + h2) / 2
      : h1 + h2 < 360
        ? (h1 + h2 + 360) / 2
        : (h1 + h2 - 360) / 2;
  const t =
    1 -
    0.17 * Math.cos(rad(h - 30)) +
    0.24 * Math.cos(rad(2 * h)) +
    0.32 * Math.cos(rad(3 * h + 6)) -
    0.2 * Math.cos(rad(4 * h - 63));
  const sL = 1 + (0.015 * (l - 50) ** 2) / Math.sqrt(20 + (l - 50) ** 2);
  const sC = 1 + 0.045 * c;
  const sH = 1 + 0.015 * c * t;
  const turned = 30 * Math.exp(-(((h - 275) / 25) ** 2));
  const rT = -2 * Math.sqrt(c ** 7 / (c ** 7 + 25 ** 7)) * Math.sin(rad(2 * turned));
  const [byL, byC, byH] = [(l2 - l1) / sL, (c2 - c1) / sC, dH / sH];
  return Math.sqrt(byL ** 2 + byC ** 2 + byH ** 2 + rT * byC * byH);
}
