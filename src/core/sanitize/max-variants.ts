/** Most variants of a catalogue, and so rows of a file. By itself, so that pages do not load all limits. */
export const maxVariants = 500_000;
