/** The words of cleaned HTML, with spaces in place of tags. */
export const plainText = (html: string): string => html.replaceAll(/<[^<>]*>/g, " ").replaceAll("&nbsp;", " ");

/** The addresses that cleaned HTML links to. */
export const linksIn = (html: string): string[] =>
  [...html.matchAll(/<a href="([^"]{1,2000})"/g)].map(([, to]) => decoded(to));

/** An address as it was before it stood in markup. */
const decoded = (text = ""): string => text.replaceAll("&quot;", '"').replaceAll("&lt;", "<").replaceAll("&amp;", "&");
