/** The text of sanitized HTML, with spaces for tags. */
export const plainText = (html: string): string => html.replaceAll(/<[^<>]*>/g, " ").replaceAll("&nbsp;", " ");

/** The addresses linked from sanitized HTML. */
export const linksIn = (html: string): string[] =>
  [...html.matchAll(/<a href="([^"]{1,2000})"/g)].map(([, to]) => decoded(to));

/** An attribute's address with its entities decoded. */
const decoded = (text = ""): string => text.replaceAll("&quot;", '"').replaceAll("&lt;", "<").replaceAll("&amp;", "&");
