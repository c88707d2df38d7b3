/**
 * Maximum number of variants in a catalogue, and so of rows in a file. In its own file, so that pages need not load
 * all limits.
 */
export const maxVariants = 500_000;
