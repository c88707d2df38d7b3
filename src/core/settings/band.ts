/** Ranges of page widths, from wide to slim: a band follows the one before it until it has its own value. */
export const bands = ["wide", "medium", "slim"] as const;
export type Band = (typeof bands)[number];

/** A setting for the wide band, and for narrower bands that differ. */
export interface Banded<T> {
  wide: T;
  medium?: T | undefined;
  slim?: T | undefined;
}

/** Minimum page widths of the medium and the wide band, in CSS px; below medium is slim. */
export interface BandLimits {
  medium: number;
  wide: number;
}

/** Wide from 1000 px; 750 px is a usual limit between phone and wide (common practice, no source). */
export const defaultLimits: BandLimits = { medium: 750, wide: 1000 };

/** The band of a page width in CSS px. */
export function bandAt(width: number, limits: BandLimits): Band {
  if (width >= limits.wide) return "wide";
  return width >= limits.medium ? "medium" : "slim";
}

/** The setting on a band. */
export function resolve<T>(setting: Banded<T>, band: Band): T {
  if (band === "slim" && setting.slim !== undefined) return setting.slim;
  if (band !== "wide" && setting.medium !== undefined) return setting.medium;
  return setting.wide;
}

/** Whether the band has its own setting. The wide band always has. */
export const isOwn = <T>(setting: Banded<T>, band: Band): boolean => setting[band] !== undefined;

/** The setting with one band changed; a narrower band set to what it would follow anyway follows again. */
export function withBand<T>(setting: Banded<T>, band: Band, value: T): Banded<T> {
  const next = { ...setting, [band]: value };
  return band !== "wide" && resolve(withoutBand(setting, band), band) === value ? withoutBand(setting, band) : next;
}

/** The setting with a narrower band following the wider one again. */
export function withoutBand<T>(setting: Banded<T>, band: Band): Banded<T> {
  if (band === "wide") return setting;
  const { [band]: _given, ...rest } = setting;
  return rest as Banded<T>;
}

/** The widths of a band in words. */
export function bandRange(band: Band, { medium, wide }: BandLimits): string {
  if (band === "wide") return `from ${wide}`;
  return band === "medium" ? `${medium}–${wide - 1}` : `to ${medium - 1}`;
}
