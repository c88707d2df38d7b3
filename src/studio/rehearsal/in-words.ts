import { percent } from "../shell/percent.ts";

/** The names of bands in rehearsals. */
export const bandNames = { wide: "Wide page", medium: "Medium page", slim: "Phone" } as const;

/** Seconds for display; with one decimal below ten. */
export const seconds = (value: number): string => (value < 10 ? value.toFixed(1) : String(Math.round(value)));

/** CSS px as they are read. */
export const pixels = (px: number): string => Math.round(px).toLocaleString("en");

/** A difference with its sign. */
export const signed = (value: number, inWords: (value: number) => string): string =>
  `${value < 0 ? "−" : "+"}${inWords(Math.abs(value))}`;

/** A share in whole percent. */
export const inPercent = (share: number): string => percent(Math.round(share * 1000), 1000);

/** A share in percentage points. */
export const points = (share: number): string => `${(share * 100).toFixed(1)} points`;
