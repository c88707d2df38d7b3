import type { Condition } from "../../engine/question.ts";
import { collectionAt } from "../../page/page-list.ts";
import type { PageFindingKind } from "./page-finding.ts";

/** A condition over a field that the catalogue no longer has. */
export const conditionGone: PageFindingKind = {
  name: "condition-gone",
  level: "error",
  find({ page, pages, hasField }) {
    const gone = (conditions: readonly Condition[]) =>
      conditions.flatMap((one) => ("field" in one && !hasField(one.field) ? [one.field] : []));
    const of = collectionAt(page, pages)?.of;
    const own = of?.by === "conditions" ? gone(of.conditions) : [];
    return [
      ...own.map((field) => ({
        words: `The collection uses “${field}”, which the catalogue no longer has, so that condition matches no products.`,
      })),
      ...gone(page.layout.within).map((field) => ({
        words: `The page always filters by “${field}”, which the catalogue no longer has. That condition is ignored.`,
      })),
    ];
  },
};
