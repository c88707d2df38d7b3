import { type Band, type BandLimits, bandAt } from "../../core/settings/band.ts";

/** A page width on a band: the usual screen's, or one within the limits if those have moved past it. */
export function widthOn(band: Band, usual: number, limits: BandLimits): number {
  if (bandAt(usual, limits) === band) return usual;
  if (band === "wide") return limits.wide + 80;
  return band === "medium" ? Math.round((limits.medium + limits.wide) / 2) : limits.medium - 20;
}
