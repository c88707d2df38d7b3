/** Addresses of a shop's pictures in its documents: in members of their own, in markup or in CSS. */

/** The address of any shop's picture; the group is its name, the hash of its content and its type. */
const anyShop = /\/pictures\/[\p{L}\p{N}_%-]+\/([0-9a-f]{64}\.(?:svg|png|jpg|webp))/gu;

/** The address of a picture, by its name. */
type PicturePlace = (picture: string) => string;

/** Addresses of a shop's pictures, by its slug. */
export const shopPictures =
  (slug: string): PicturePlace =>
  (picture) =>
    `/pictures/${slug}/${picture}`;

/** Addresses of pictures in a folder or an edition, which don't contain the shop's slug. */
export const ownPictures = shopPictures("shop");

/** A document with its pictures at other addresses; the same object if it has none. */
export const withPicturesAt = <D>(document: D, to: PicturePlace): D =>
  mapTexts(document, (text) => text.replaceAll(anyShop, (_, picture: string) => to(picture))) as D;

/** A document with all pictures of one folder moved to another. @param from address of the folder, with its slash */
export const withPictureFolder = <D>(document: D, from: string, to: string): D =>
  mapTexts(document, (text) => text.replaceAll(from, to)) as D;

function mapTexts(value: unknown, change: (text: string) => string): unknown {
  if (typeof value === "string") return change(value);
  if (typeof value !== "object" || value === null) return value;
  if (Array.isArray(value)) {
    const next = value.map((one) => mapTexts(one, change));
    return next.some((one, at) => one !== value[at]) ? next : value;
  }
  const members = Object.entries(value);
  const next = members.map(([key, one]) => [key, mapTexts(one, change)] as const);
  return next.some(([, one], at) => one !== members[at]?.[1]) ? Object.fromEntries(next) : value;
}
