/** The columns: the row's words, then a cell a band; the style sheet leaves the cells out of a folded lattice. */
export const columns = "lattice-columns grid gap-x-1.5 items-center pe-3";
