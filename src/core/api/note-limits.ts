/** Maximum lengths of a note and its answer, and of its author’s name, in characters. */
export const maxNoteText = 2000;
export const maxAuthor = 80;
