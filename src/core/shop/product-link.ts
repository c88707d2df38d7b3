/**
 * A product's address on a shop's site.
 * @param link with `{id}` and `{variant}` in it
 * @param variant index of the variant, from 0
 */
export const productLink = (link: string, id: string, variant = 0): string =>
  link.replaceAll("{id}", encodeURIComponent(id)).replaceAll("{variant}", String(variant + 1));
