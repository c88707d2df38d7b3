import { type Band, type BandLimits, bands } from "./band.ts";

/** Gap in px between the limits of adjacent bands' queries, so that they never both match. */
const below = 0.02;

/** The media query of each band. */
export const bandQueries = ({ medium, wide }: BandLimits): Record<Band, string> => ({
  wide: `(min-width: ${wide}px)`,
  medium: `(min-width: ${medium}px) and (max-width: ${wide - below}px)`,
  slim: `(max-width: ${medium - below}px)`,
});

/** Media queries that always select one band, whatever the page width. */
export const fixedQueries = (band: Band): Record<Band, string> => ({
  ...{ wide: "not all", medium: "not all", slim: "not all" },
  [band]: "all",
});

/** The colour scheme: the shopper's preference, or always light or dark. */
export const schemeQueries = { shopper: "(prefers-color-scheme: dark)", light: "not all", dark: "all" } as const;
export type SchemeQuery = keyof typeof schemeQueries;

/** Replaces `@media (--dark)` in a style sheet by the actual condition. */
export const resolveScheme = (css: string, scheme: SchemeQuery): string =>
  css.replaceAll("@media (--dark)", `@media ${schemeQueries[scheme]}`);

/** Replaces `@media (--wide)`, `(--medium)` and `(--slim)` in a style sheet by the actual queries. */
export const resolveBands = (css: string, queries: Readonly<Record<Band, string>>): string =>
  bands.reduce((sheet, band) => sheet.replaceAll(`@media (--${band})`, `@media ${queries[band]}`), css);
