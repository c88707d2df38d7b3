import { pieceOf } from "../panel/pieces.ts";
import type { FindingDraft, FindingKind } from "./finding.ts";
import { readable } from "./raw-labels.ts";

/** Texts that were never meant to be read: column names, placeholders, lone punctuation. Common practice, no source. */
const standsIn =
  /^(?:[\W_]*|ids?|untitled|unnamed.*|todo\b.*|tbd|tba|test|x{2,}|n\/?a|null|undefined|none|column ?\d+|field ?\d+|new (?:text|heading))$|lorem ipsum|a few words for shoppers/i;

/** Whether a text is one that shoppers should never read. */
export const isPlaceholder = (text: string): boolean => standsIn.test(text.trim());

/** Titles and texts that say nothing to shoppers. */
export const placeholderText: FindingKind = {
  name: "placeholder-text",
  level: "warning",
  find({ panel, facets }) {
    const found: FindingDraft[] = [];
    for (const { row, title } of facets) {
      const raw = /\p{L}_\p{L}/u.test(title);
      if (!raw && !isPlaceholder(title)) continue;
      found.push({
        row: row.id,
        words: `Shoppers see “${title}” as the title of a facet. It looks like a field name or a placeholder.`,
        ...(raw
          ? {
              remedy: {
                words: `Rename it to “${readable(title)}”`,
                step: { do: "label", row: row.id, text: readable(title) } as const,
              },
            }
          : {}),
      });
    }
    for (const row of panel.rows) {
      if (row.kind !== "piece") continue;
      for (const text of pieceOf(row.piece).texts?.(row) ?? [])
        if (isPlaceholder(text))
          found.push({
            row: row.id,
            words:
              text.trim() === ""
                ? `This ${row.piece} is empty.`
                : `Shoppers see the placeholder text “${text.trim()}”.`,
          });
    }
    return found;
  },
};
