import sanitizeHtml from "sanitize-html";
import { isSafeAddress } from "./safe-address.ts";

/** Sanitizes rich text: paragraphs, lists, emphasis, and links to safe addresses remain. Idempotent. */
export function cleanHtml(html: string): string {
  return sanitizeHtml(html, {
    allowedTags: ["p", "br", "strong", "em", "u", "s", "a", "ul", "ol", "li", "h2", "h3", "h4", "blockquote", "code"],
    allowedAttributes: { a: ["href"] },
    allowedSchemes: ["http", "https", "mailto", "tel"],
    allowProtocolRelative: false,
    transformTags: {
      a: (tagName, { href = "" }) => ({
        tagName,
        attribs: (isSafeAddress(href) ? { href } : {}) as Record<string, string>,
      }),
    },
  });
}
