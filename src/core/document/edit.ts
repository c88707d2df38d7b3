/** One step of the designer: a new document from the old one, and what it did in words for the history. */
export interface Edit<D> {
  words: string;
  apply(document: D): D;
}
