import { oklch } from "culori";
import { contrast } from "../../swatch/measure.ts";
import { mainColours, type Pixels } from "../../swatch/photo.ts";
import type { LookReading } from "./read-look.ts";

const hexOf = (code: number): string => `#${code.toString(16).padStart(6, "0")}`;

/** The most frequent colour of a picture. */
function commonest({ data }: Pixels): { hex: string; share: number } {
  const counts = new Map<number, number>();
  for (let at = 0; at < data.length; at += 4) {
    const code = ((data[at] ?? 0) << 16) | ((data[at + 1] ?? 0) << 8) | (data[at + 2] ?? 0);
    counts.set(code, (counts.get(code) ?? 0) + 1);
  }
  const [code, count] = [...counts].reduce((best, one) => (one[1] > best[1] ? one : best), [0xffffff, 0]);
  return { hex: hexOf(code), share: count / (data.length / 4) };
}

/**
 * Colours of a shop from a screenshot: the most frequent one as the background, the one that differs most from it as
 * the text, and the most colourful one as the accent. Nothing else can be read from a picture.
 */
export function readPicture(name: string, pixels: Pixels): LookReading[] {
  const ground = commonest(pixels);
  const clusters = mainColours(pixels).filter(({ hex }) => contrast(hex, ground.hex) > 1.1);
  const reading = (token: string, hex: string, share: number): LookReading => ({
    token,
    value: hex,
    where: { file: name, line: 0, selector: "", property: `${(share * 100).toFixed(1)}% of it`, value: hex },
    times: 1,
  });
  const best = (score: (hex: string, share: number) => number) =>
    clusters.reduce<(typeof clusters)[number] | undefined>(
      (now, one) => (!now || score(one.hex, one.share) > score(now.hex, now.share) ? one : now),
      undefined,
    );
  const ink = best((hex) => contrast(hex, ground.hex));
  const accent = best((hex, share) => (oklch(hex)?.c ?? 0) * Math.sqrt(share));
  return [
    reading("ground", ground.hex, ground.share),
    ...(ink && contrast(ink.hex, ground.hex) >= 4.5 ? [reading("ink", ink.hex, ink.share)] : []),
    ...(accent && (oklch(accent.hex)?.c ?? 0) > 0.03 ? [reading("accent", accent.hex, accent.share)] : []),
  ];
}
