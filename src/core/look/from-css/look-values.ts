import type { TokenValues } from "../resolve.ts";
import type { LookReading } from "./read-look.ts";

/** A look of what was read. */
export const lookValuesOf = (readings: readonly LookReading[]): TokenValues =>
  Object.fromEntries(readings.map(({ token, value }) => [token, { wide: value }]));
