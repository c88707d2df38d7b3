import { isShown, labelOf } from "../panel/options.ts";
import { rulesOf } from "../panel/panel.ts";
import { likelyMisspelt } from "../profile/clashes.ts";
import { inEachFacet } from "./finding.ts";

/** An option that is probably a misspelling of another: similar, and on hardly any product. */
export const misspelt = inEachFacet({
  name: "misspelt",
  level: "warning",
  find({ row, title, found }) {
    if (!found || found.range || row.mode === "tree") return undefined;
    const rules = rulesOf(row);
    const shown = found.options.flatMap((option, at) =>
      isShown(rules, option.id)
        ? [{ id: option.id, label: labelOf(rules, option, ""), products: found.counts.steady[at] ?? 0 }]
        : [],
    );
    return likelyMisspelt(shown.filter(({ products }) => products > 0)).map(([right, wrong]) => ({
      row: row.id,
      words: `${title}: “${wrong.label}” with ${wrong.products} ${wrong.products === 1 ? "product" : "products"} looks like a misspelling of “${right.label}” with ${right.products}.`,
      remedy: {
        words: `Merge “${wrong.label}” into “${right.label}”`,
        step: {
          do: "merge" as const,
          row: row.id,
          into: { id: idOf(shown, right), label: right.label, products: right.products },
          from: { id: idOf(shown, wrong), label: wrong.label, products: wrong.products },
        },
      },
    }));
  },
});

const idOf = (options: readonly { id: string; label: string }[], { label }: { label: string }): string =>
  options.find((one) => one.label === label)?.id ?? label;
