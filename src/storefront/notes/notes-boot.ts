/** The data for the script that pins notes to a preview's pages. */
export interface NotesBoot {
  /** Address of the preview's notes. */
  address: string;
  /** Prefix of the addresses of the preview's pages. */
  base: string;
}
