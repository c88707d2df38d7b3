/** An address within the shop, with the shop's prefix: those that begin with one slash. */
export const placeInShop = (base: string, address: string): string =>
  /^\/(?!\/)/.test(address) ? base + address : address;

interface Props {
  /** Sanitized and checked when it was saved. */
  html: string;
  /** Prefix of every address of the shop. */
  base: string;
  class?: string;
}

/** The designer's rich text, with links to places of the shop. */
export function RichText({ html, base, class: name = "zt-text" }: Props) {
  const inner = { __html: html.replaceAll(/<a href="(?=\/(?!\/))/g, `<a href="${base}`) };
  // biome-ignore lint/security/noDangerouslySetInnerHtml: the text was cleaned before it was saved, and is refused when it was not
  return <div class={name} dangerouslySetInnerHTML={inner} />;
}
