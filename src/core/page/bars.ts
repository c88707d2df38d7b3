import { type Band, bands, resolve } from "../settings/band.ts";
import type { Bar } from "./pages-schema.ts";

/** Height in CSS px of the sticky bars on a band: the offset of sticky elements below them. */
export const stickyHeight = (bars: readonly Bar[], band: Band): number =>
  bars.reduce((sum, { height, stays }) => sum + (resolve(stays, band) ? resolve(height, band) : 0), 0);

/** The same on every band. */
export const stickyHeights = (bars: readonly Bar[]): Record<Band, number> => {
  const [wide, medium, slim] = bands.map((band) => stickyHeight(bars, band));
  return { wide: wide ?? 0, medium: medium ?? 0, slim: slim ?? 0 };
};
