/** Tags that are never closed. */
const single = new Set(["br"]);

/**
 * The blocks of a sanitized text in order: paragraphs, headings, lists. Text outside of any belongs to the following
 * block.
 */
export function blocksOf(html: string): string[] {
  const blocks: string[] = [];
  let depth = 0;
  let start = 0;
  for (const { 0: tag, 1: closes, 2: name, index } of html.matchAll(
    /<(\/?)([a-z0-9]{1,20})(?:[^<>a-z0-9][^<>]*)?>/gi,
  )) {
    if (single.has((name ?? "").toLowerCase())) continue;
    depth += closes ? -1 : 1;
    if (depth > 0) continue;
    depth = 0;
    const end = index + tag.length;
    blocks.push(html.slice(start, end));
    start = end;
  }
  const rest = html.slice(start);
  return rest.trim() === "" ? blocks : [...blocks, rest];
}
