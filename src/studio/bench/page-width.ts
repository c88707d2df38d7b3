import { type Band, type BandLimits, bandAt } from "../../core/settings/band.ts";

/** A width that is on a band: the usual screen's, or where the limits have moved past it one within them. */
export function widthOn(band: Band, usual: number, limits: BandLimits): number {
  if (bandAt(usual, limits) === band) return usual;
  if (band === "wide") return limits.wide + 80;
  return band === "medium" ? Math.round((limits.medium + limits.wide) / 2) : limits.medium - 20;
}
