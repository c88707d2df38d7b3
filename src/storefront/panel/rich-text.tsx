/** An address as it is written in the shop: what begins with one slash is a place of the shop itself, wherever that is. */
export const placeInShop = (base: string, address: string): string =>
  /^\/(?!\/)/.test(address) ? base + address : address;

interface Props {
  /** Cleaned when it was saved, and refused where it was not. */
  html: string;
  /** The prefix of every address of the shop. */
  base: string;
  class?: string;
}

/** Rich text of the designer's, whose links lead to places of the shop. */
export function RichText({ html, base, class: name = "zt-text" }: Props) {
  const inner = { __html: html.replaceAll(/<a href="(?=\/(?!\/))/g, `<a href="${base}`) };
  // biome-ignore lint/security/noDangerouslySetInnerHtml: the text was cleaned before it was saved, and is refused when it was not
  return <div class={name} dangerouslySetInnerHTML={inner} />;
}
