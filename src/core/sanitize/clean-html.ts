import sanitizeHtml from "sanitize-html";
import { isCleanHtml, richTextTags } from "./is-clean-html.ts";
import { isSafeAddress } from "./safe-address.ts";

/** Maximum number of times that a text is cleaned; each time undoes one level of broken nesting. */
const mostRounds = 20;

/** Sanitizes rich text: paragraphs, lists, emphasis, and links to safe addresses remain. Idempotent. */
export function cleanHtml(html: string): string {
  let clean = sanitized(html);
  // Remains of a broken tag may change how the others nest.
  for (let round = 1; round < mostRounds && !isCleanHtml(clean); round++) clean = sanitized(clean);
  return clean;
}

const sanitized = (html: string): string =>
  sanitizeHtml(html, {
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
