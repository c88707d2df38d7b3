/** The columns: the row's words, then one cell per band; a folded lattice hides the cells. */
export const columns = "lattice-columns grid gap-x-1.5 items-center pe-3";
