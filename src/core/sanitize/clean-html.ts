import sanitizeHtml from "sanitize-html";
import { richTextTags } from "./is-clean-html.ts";
import { isSafeAddress } from "./safe-address.ts";

/** Sanitizes rich text: paragraphs, lists, emphasis, and links to safe addresses remain. Idempotent. */
export function cleanHtml(html: string): string {
  return sanitizeHtml(html, {
    allowedTags: [...richTextTags.keys()],
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
