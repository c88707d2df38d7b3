/**
 * Browsers ignore tabs and line ends and read a backslash as a slash, so an address that contains any differs from
 * what it seems.
 */
const isPlain = (address: string): boolean =>
  [...address].every((letter) => letter !== "\\" && letter >= " " && letter !== "\u007f");

/** An address within the shop. A second slash would lead elsewhere. */
const isOwnPlace = (address: string): boolean => /^\/(?!\/)/.test(address);

/** Whether a link is safe: to the web, mail, telephone, or within the shop. Any other scheme might run code. */
export const isSafeAddress = (address: string): boolean =>
  isPlain(address) && (/^(?:https?:\/\/|mailto:|tel:)/i.test(address) || /^[?#]/.test(address) || isOwnPlace(address));

/** An address relative to the page, which cannot have a scheme. */
export const isRelativePlace = (address: string): boolean => isPlain(address) && /^\.{1,2}\/(?!\/)/.test(address);

/** Whether a picture's address is safe: on the web, or within the shop. */
export const isSafePicture = (address: string): boolean =>
  isPlain(address) && (/^https?:\/\//i.test(address) || isOwnPlace(address) || isRelativePlace(address));
