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

/** Whether something is drawn for shoppers who prefer dark: as they like it, or always the one or the other. */
export const schemeQueries = { shopper: "(prefers-color-scheme: dark)", light: "not all", dark: "all" } as const;
export type SchemeQuery = keyof typeof schemeQueries;

/** A style sheet in which `@media (--dark)` has become what is meant. */
export const resolveScheme = (css: string, scheme: SchemeQuery): string =>
  css.replaceAll("@media (--dark)", `@media ${schemeQueries[scheme]}`);

/** A style sheet in which `@media (--wide)`, `(--medium)` and `(--slim)` have become the queries that are meant. */
export const resolveBands = (css: string, queries: Readonly<Record<Band, string>>): string =>
  bands.reduce((sheet, band) => sheet.replaceAll(`@media (--${band})`, `@media ${queries[band]}`), css);
