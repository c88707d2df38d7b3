/** The panels among the names of a page’s pieces of markup, which also has its listing and forms. */
export const panelNames = (pieces: readonly string[]): string[] =>
  pieces.filter((name) => name !== "listing" && !name.includes("."));
