/** Browsers pass over tabs and line ends and read a backslash as a slash, so an address with any is another than it looks. */
const isPlain = (address: string): boolean =>
  [...address].every((letter) => letter !== "\\" && letter >= " " && letter !== "\u007f");

/** A place of the shop itself. A second slash would lead elsewhere. */
const isOwnPlace = (address: string): boolean => /^\/(?!\/)/.test(address);

/** Where a link may go: the web, mail and telephone, or a place of the shop itself. Anything else could be made to run. */
export const isSafeAddress = (address: string): boolean =>
  isPlain(address) && (/^(?:https?:\/\/|mailto:|tel:)/i.test(address) || /^[?#]/.test(address) || isOwnPlace(address));

/** A place told from where the page is, which no scheme can stand in front of. */
export const isRelativePlace = (address: string): boolean => isPlain(address) && /^\.{1,2}\/(?!\/)/.test(address);

/** Where a picture may come from: the web, or the shop itself. */
export const isSafePicture = (address: string): boolean =>
  isPlain(address) && (/^https?:\/\//i.test(address) || isOwnPlace(address) || isRelativePlace(address));
