/**
 * A place within the shop, written plainly: browsers drop control characters and white space, and read a backslash as
 * a slash.
 */
const placeInShop = /^\/(?![/\\])[^\\\p{C}\p{Z}]*$/u;
const ownData = /^data:image\/(?:png|jpe?g|gif|webp|avif);base64,[A-Za-z0-9+/=]*$/i;

/** Whether CSS may fetch from an address: within the shop, or an inline picture. */
export const isOwnAddress = (address: string): boolean => placeInShop.test(address) || ownData.test(address);
