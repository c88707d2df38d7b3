import { isSafeAddress } from "./safe-address.ts";

const block = ["p"];
const heading = ["p", "h2", "h3", "h4"];

/** Tags that rich text may have, each with the elements that end where it starts directly inside of them. */
export const richTextTags: ReadonlyMap<string, readonly string[]> = new Map([
  ["p", block],
  ["br", []],
  ["strong", []],
  ["em", []],
  ["u", []],
  ["s", []],
  ["a", ["a"]],
  ["ul", block],
  ["ol", block],
  ["li", ["li"]],
  ["h2", heading],
  ["h3", heading],
  ["h4", heading],
  ["blockquote", block],
  ["code", []],
]);

/** A tag, a run of text, or a character that has to be escaped, as sanitized HTML spells them. */
const token =
  /<(?<closing>\/?)(?<tag>[a-z][a-z0-9]{0,9})(?: href="(?<href>[^"<>]+)")?(?<empty> \/)?>|[^<>&]+|&(?:amp|lt|gt);/g;

const entities: Record<string, string> = { "&amp;": "&", "&lt;": "<", "&gt;": ">", "&quot;": '"' };

/** An escaped attribute's text; undefined if an ampersand in it is not escaped. */
function unescaped(text: string): string | undefined {
  let sound = true;
  const plain = text.replaceAll(/&[a-z]{0,4};?/g, (entity) => {
    sound &&= entity in entities;
    return entities[entity] ?? "";
  });
  return sound ? plain : undefined;
}

/**
 * Whether rich text is spelt exactly as {@link cleanHtml} writes it, so that cleaning it would change nothing. It is
 * apart from the cleaning because it is asked with each opening of a document, and cleaning takes a parser of 200 kB.
 */
export function isCleanHtml(html: string): boolean {
  const open: string[] = [];
  let end = 0;
  for (const { index, 0: whole, groups = {} } of html.matchAll(token)) {
    // Anything in between is spelt otherwise.
    if (index !== end) return false;
    end += whole.length;
    const { closing, tag, href, empty } = groups;
    if (tag === undefined) continue;
    const ended = richTextTags.get(tag);
    const isPlain = href === undefined && empty === undefined;
    if (!ended) return false;
    if (closing) {
      if (open.pop() !== tag || !isPlain) return false;
      continue;
    }
    if (ended.includes(open.at(-1) ?? "")) return false;
    if (tag === "br") {
      if (empty === undefined || href !== undefined) return false;
      continue;
    }
    if (empty !== undefined) return false;
    if (href !== undefined && (tag !== "a" || !isSafeAddress(unescaped(href) ?? ""))) return false;
    open.push(tag);
  }
  return end === html.length && open.length === 0;
}
