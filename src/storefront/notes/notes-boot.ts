/** What the script for notes on a preview's pages needs to know. */
export interface NotesBoot {
  /** Address of the preview's notes. */
  address: string;
  /** Prefix of the addresses of the preview's pages. */
  base: string;
}
