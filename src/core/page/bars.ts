import { freeId } from "../panel/row-id.ts";
import { type Band, type Banded, bands, resolve, withBand } from "../settings/band.ts";
import type { Bar } from "./pages-schema.ts";

/** Height in CSS px of the sticky bars on a band: the offset of sticky elements below them. */
export const stickyHeight = (bars: readonly Bar[], band: Band): number =>
  bars.reduce((sum, { height, stays }) => sum + (resolve(stays, band) ? resolve(height, band) : 0), 0);

/** The same on every band. */
export const stickyHeights = (bars: readonly Bar[]): Record<Band, number> => {
  const [wide, medium, slim] = bands.map((band) => stickyHeight(bars, band));
  return { wide: wide ?? 0, medium: medium ?? 0, slim: slim ?? 0 };
};

/** A setting changed on one band alone, whatever follows it. */
const onlyOn = <T>(setting: Banded<T>, band: Band, value: T): Banded<T> =>
  bands.reduce((now, one) => withBand(now, one, one === band ? value : resolve(setting, one)), setting);

/**
 * The bars with a total height of those that stay on one band, as measured on a site: the last of them is changed, a bar
 * is added if none stays, and those that no longer fit scroll away. Other bands remain as they are.
 * @param height in CSS px; 0 for no bar that stays
 */
export function fitBars(bars: readonly Bar[], band: Band, height: number): Bar[] {
  const staying = bars.filter(({ stays }) => resolve(stays, band));
  const last = staying.at(-1);
  const away = (bar: Bar): Bar => ({ ...bar, stays: onlyOn(bar.stays, band, false) });
  if (height <= 0) return bars.map((bar) => (staying.includes(bar) ? away(bar) : bar));
  if (!last) {
    const added = { id: freeId(bars, "bar"), name: "Bar", height: { wide: height }, stays: { wide: false } };
    return [...bars, { ...added, stays: onlyOn(added.stays, band, true) }];
  }
  const others = stickyHeight(bars, band) - resolve(last.height, band);
  return bars.map((bar) => {
    if (bar === last) return { ...bar, height: onlyOn(bar.height, band, others < height ? height - others : height) };
    return others < height || !staying.includes(bar) ? bar : away(bar);
  });
}
