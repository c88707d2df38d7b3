/** The columns: the row's words, then a cell a band. */
export const columns = "grid grid-cols-[26px_minmax(0,1fr)_repeat(3,72px)] gap-x-1.5 items-center pe-3";
