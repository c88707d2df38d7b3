/** A place of the shop itself. A second slash of either kind, or one after characters that browsers pass over, would lead elsewhere. */
const isOwnPlace = (address: string): boolean => /^\/(?![/\\])/.test(address) && !/[\t\n\r]/.test(address);

/** Where a link may go: the web, mail and telephone, or a place of the shop itself. Anything else could be made to run. */
export const isSafeAddress = (address: string): boolean =>
  /^(?:https?:\/\/|mailto:|tel:)/i.test(address) || /^[?#]/.test(address) || isOwnPlace(address);

/** A place told from where the page is, which no scheme can stand in front of. */
export const isRelativePlace = (address: string): boolean =>
  /^\.{1,2}\/(?![/\\])/.test(address) && !/[\t\n\r]/.test(address);

/** Where a picture may come from: the web, or the shop itself. */
export const isSafePicture = (address: string): boolean =>
  /^https?:\/\//i.test(address) || isOwnPlace(address) || isRelativePlace(address);
