/** Addresses of a shop's pictures within its documents: in a member of their own, in markup or in CSS. */

/** A picture of any shop at its place in addresses; the group is its name, which is its content's hash and its kind. */
const anyShop = /\/pictures\/[\p{L}\p{N}_%-]+\/([0-9a-f]{64}\.(?:svg|png|jpg|webp))/gu;

/** Where a picture is, by its name. */
type PicturePlace = (picture: string) => string;

/** Pictures of a shop at its place in addresses. */
export const shopPictures =
  (slug: string): PicturePlace =>
  (picture) =>
    `/pictures/${slug}/${picture}`;

/** Pictures where the shop is not in addresses, as in a folder or an edition. */
export const ownPictures = shopPictures("shop");

/** A document with its pictures elsewhere; what has none stays the same object. */
export const withPicturesAt = <D>(document: D, to: PicturePlace): D =>
  mapTexts(document, (text) => text.replaceAll(anyShop, (_, picture: string) => to(picture))) as D;

/** A document with all pictures of a folder in a different one. @param from address of the folder, with its slash */
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
