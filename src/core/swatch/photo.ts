import { rgb } from "culori";

/** Pixels of one picture, four bytes each. */
export interface Pixels {
  data: Uint8ClampedArray | Uint8Array;
  width: number;
  height: number;
}

/** A main colour of a picture, its position in OKLab, and its share of the foreground. */
export interface Cluster {
  hex: string;
  lab: Lab;
  share: number;
}
type Lab = readonly [number, number, number];

/**
 * Distances in OKLab: within the first, pixels of a picture are one colour; within the second, two pictures show the
 * same colour.
 */
const sameInPicture = 0.045;
const sameAcross = 0.035;
const maxClusters = 12;

/**
 * The main colours of a picture without its background: the most frequent colour of the border, and colours that
 * differ from it no more than the border varies itself.
 */
export function mainColours({ data, width, height }: Pixels): Cluster[] {
  const counts = new Map<number, number>();
  const border = new Map<number, number>();
  const codeAt = (x: number, y: number) => {
    const at = (y * width + x) * 4;
    return (data[at + 3] ?? 0) < 128 ? -1 : ((data[at] ?? 0) << 16) | ((data[at + 1] ?? 0) << 8) | (data[at + 2] ?? 0);
  };
  for (let y = 0; y < height; y++) {
    for (let x = 0; x < width; x++) {
      const code = codeAt(x, y);
      if (code < 0) continue;
      counts.set(code, (counts.get(code) ?? 0) + 1);
      if (x === 0 || y === 0 || x === width - 1 || y === height - 1) border.set(code, (border.get(code) ?? 0) + 1);
    }
  }
  const ground = groundOf(border);
  const colours = [...counts]
    .map(([code, count]) => ({ code, count, lab: labOf(code) }))
    .filter(({ lab }) => !ground || apart(lab, ground.lab) > ground.reach);
  const total = colours.reduce((sum, { count }) => sum + count, 0);
  return gather(colours)
    .map(({ hex, lab, count }) => ({ hex, lab, share: count / total }))
    .slice(0, maxClusters);
}

function groundOf(border: ReadonlyMap<number, number>): { lab: Lab; reach: number } | undefined {
  const list = [...border].map(([code, count]) => ({ lab: labOf(code), count }));
  const total = list.reduce((sum, { count }) => sum + count, 0);
  if (total === 0) return undefined;
  // Tries the most frequent border colours; a background far from all of them has no single colour.
  const tried = list.toSorted((a, b) => b.count - a.count).slice(0, 24);
  const weights = tried.map(({ lab }) =>
    list.reduce((sum, one) => sum + (apart(lab, one.lab) < sameInPicture / 2 ? one.count : 0), 0),
  );
  const lab = tried[weights.indexOf(Math.max(...weights))]?.lab;
  if (!lab) return undefined;
  const near = list.filter((one) => apart(one.lab, lab) < sameInPicture);
  const share = near.reduce((sum, { count }) => sum + count, 0) / total;
  if (share < 0.4) return undefined;
  const spread = Math.sqrt(near.reduce((sum, one) => sum + one.count * apart(one.lab, lab) ** 2, 0) / (share * total));
  return { lab, reach: Math.max(0.012, spread * 2.5) };
}

interface Counted {
  code: number;
  count: number;
  lab: Lab;
}

/**
 * Clusters pixels around the most frequent colours. A cluster is represented by a colour that makes up a good part of
 * it, otherwise by its mean.
 */
function gather(colours: Counted[]): { hex: string; lab: Lab; count: number }[] {
  const seeds: { members: Counted[]; count: number; lab: Lab }[] = [];
  for (const one of coarse(colours)) {
    const seed = seeds.find(({ lab }) => apart(lab, one.lab) < sameInPicture);
    if (seed) {
      seed.members.push(...one.members);
      seed.count += one.count;
    } else seeds.push({ members: [...one.members], count: one.count, lab: one.lab });
  }
  return seeds
    .sort((a, b) => b.count - a.count)
    .map(({ members, count }) => {
      const most = members.reduce((best, one) => (one.count > best.count ? one : best));
      if (most.count >= count * 0.3) return { hex: hexOf(most.code), lab: most.lab, count };
      const middle = (i: 0 | 1 | 2) => members.reduce((sum, one) => sum + one.lab[i] * one.count, 0) / count;
      const lab: Lab = [middle(0), middle(1), middle(2)];
      return { hex: labHex(lab), lab, count };
    });
}

/** Groups colours into coarse boxes first, fullest first, so that clustering stays fast for photographs. */
function coarse(colours: readonly Counted[]): { members: Counted[]; count: number; lab: Lab }[] {
  const boxes = new Map<number, { members: Counted[]; count: number }>();
  for (const one of colours) {
    const key = ((one.code >> 19) << 10) | (((one.code >> 11) & 31) << 5) | ((one.code >> 3) & 31);
    const box = boxes.get(key);
    if (box) {
      box.members.push(one);
      box.count += one.count;
    } else boxes.set(key, { members: [one], count: one.count });
  }
  return [...boxes.values()]
    .sort((a, b) => b.count - a.count)
    .map((box) => ({ ...box, lab: box.members.reduce((best, one) => (one.count > best.count ? one : best)).lab }));
}

/** A picture's main colours, and the values of its product. */
export interface LookedAt {
  clusters: readonly Cluster[];
  values: readonly string[];
}

/** The guess from a value's pictures. */
export interface ValueColours {
  colours: string[];
  agree: number;
  of: number;
}

const maxColours = 4;

/**
 * The colours of each value: those that many of its pictures show and other pictures show less often, so that leaves
 * and tables in every picture are ignored.
 * @param wanted number of colours suggested by a value's name, if any; otherwise one or two
 */
export function valueColours(
  pictures: readonly LookedAt[],
  wanted: (value: string) => number | undefined,
): Map<string, ValueColours> {
  const byValue = new Map<string, LookedAt[]>();
  for (const picture of pictures) {
    for (const value of picture.values) {
      const list = byValue.get(value);
      if (list) list.push(picture);
      else byValue.set(value, [picture]);
    }
  }
  const shows = ({ clusters }: LookedAt, lab: Lab) => clusters.some((one) => apart(one.lab, lab) < sameAcross);
  const result = new Map<string, ValueColours>();
  for (const [value, mine] of byValue) {
    const others = pictures.filter(({ values }) => !values.includes(value));
    // A picture of a product with a single value says most about that value.
    const telling = mine.some(({ values }) => values.length === 1)
      ? mine.filter(({ values }) => values.length === 1)
      : mine;
    const candidates = merge(telling).map(({ cluster, weight }) => {
      const support = telling.filter((picture) => shows(picture, cluster.lab)).length / telling.length;
      const elsewhere =
        others.length === 0 ? 0 : others.filter((picture) => shows(picture, cluster.lab)).length / others.length;
      return { hex: cluster.hex, lab: cluster.lab, support, score: support * (1 - elsewhere) ** 2 * Math.sqrt(weight) };
    });
    candidates.sort((a, b) => b.score - a.score);
    const [best] = candidates;
    if (!best || best.support < 0.5 || best.score <= 0) continue;
    const count = wanted(value);
    const chosen = candidates
      .filter(
        ({ score, support }, place) =>
          place === 0 ||
          (count !== undefined ? place < count : place < 2 && score > best.score * 0.45 && support > 0.8),
      )
      .slice(0, maxColours);
    result.set(value, {
      colours: chosen.map(({ hex }) => hex),
      agree: Math.round(best.support * telling.length),
      of: telling.length,
    });
  }
  return result;
}

/** Merges clusters of several pictures that are the same colour, with their mean share. */
function merge(pictures: readonly LookedAt[]): { cluster: Cluster; weight: number }[] {
  const merged: { cluster: Cluster; hexes: Map<string, number>; weight: number }[] = [];
  for (const { clusters } of pictures) {
    for (const cluster of clusters) {
      const same = merged.find((one) => apart(one.cluster.lab, cluster.lab) < sameAcross);
      const weight = cluster.share / pictures.length;
      if (same) {
        same.weight += weight;
        same.hexes.set(cluster.hex, (same.hexes.get(cluster.hex) ?? 0) + cluster.share);
      } else merged.push({ cluster, hexes: new Map([[cluster.hex, cluster.share]]), weight });
    }
  }
  return merged.map(({ cluster, hexes, weight }) => {
    const [hex] = [...hexes].reduce((best, one) => (one[1] > best[1] ? one : best));
    return { cluster: { ...cluster, hex, lab: labOf(Number.parseInt(hex.slice(1), 16)) }, weight };
  });
}

function apart(a: Lab, b: Lab): number {
  const [l, m, n] = [a[0] - b[0], a[1] - b[1], a[2] - b[2]];
  return Math.sqrt(l * l + m * m + n * n);
}
const hexOf = (code: number): string => `#${code.toString(16).padStart(6, "0")}`;

/** Converts sRGB bytes to linear light. Source: IEC 61966-2-1. */
const linear = Float64Array.from({ length: 256 }, (_, byte) => {
  const part = byte / 255;
  return part <= 0.04045 ? part / 12.92 : ((part + 0.055) / 1.055) ** 2.4;
});

/**
 * A 24-bit colour in OKLab. Our own code for speed: a picture needs thousands. Source: B. Ottosson (2020), A
 * perceptual color space for image processing; checked against the package culori in a test.
 */
export function labOf(code: number): Lab {
  const [r, g, b] = [linear[code >> 16] ?? 0, linear[(code >> 8) & 255] ?? 0, linear[code & 255] ?? 0];
  const l = Math.cbrt(0.4122214708 * r + 0.5363325363 * g + 0.0514459929 * b);
  const m = Math.cbrt(0.2119034982 * r + 0.6806995451 * g + 0.1073969566 * b);
  const s = Math.cbrt(0.0883024619 * r + 0.2817188376 * g + 0.6299787005 * b);
  return [
    0.2104542553 * l + 0.793617785 * m - 0.0040720468 * s,
    1.9779984951 * l - 2.428592205 * m + 0.4505937099 * s,
    0.0259040371 * l + 0.7827717662 * m - 0.808675766 * s,
  ];
}

function labHex([l, a, b]: Lab): string {
  const { r, g, b: blue } = rgb({ mode: "oklab", l, a, b });
  const byte = (part: number) => Math.max(0, Math.min(255, Math.round(part * 255)));
  return hexOf((byte(r) << 16) | (byte(g) << 8) | byte(blue));
}
