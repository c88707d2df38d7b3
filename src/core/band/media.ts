import { type Band, type BandLimits, bands } from "./band.ts";

/** Largest fraction of a px by which two bands never hold at once. */
const below = 0.02;

/** The media query that holds on each band's widths. */
export const bandQueries = ({ medium, wide }: BandLimits): Record<Band, string> => ({
  wide: `(min-width: ${wide}px)`,
  medium: `(min-width: ${medium}px) and (max-width: ${wide - below}px)`,
  slim: `(max-width: ${medium - below}px)`,
});

/** The media queries for something that always shows one band, whatever the width of the page that it is on. */
export const fixedQueries = (band: Band): Record<Band, string> => ({
  ...{ wide: "not all", medium: "not all", slim: "not all" },
  [band]: "all",
});

/** A style sheet in which `@media (--wide)`, `(--medium)` and `(--slim)` have become the queries that are meant. */
export const resolveBands = (css: string, queries: Readonly<Record<Band, string>>): string =>
  bands.reduce((sheet, band) => sheet.replaceAll(`@media (--${band})`, `@media ${queries[band]}`), css);
