import type { VisitReport } from "../api/visit-report.ts";
import { wilsonInterval } from "../catalogue/numbers/wilson.ts";
import type { PageUse, VisitUse } from "../findings/visit-use.ts";

/**
 * The use of a page over all its bands, from a report of visits; undefined if nobody visited it.
 * @param offered keys of the fields that were on the page; those that were used are known without it
 * @param madeUp the visits were made by trial shoppers; default: no
 */
export function pageUse(
  report: VisitReport,
  address: string,
  offered: Iterable<string> = [],
  madeUp = false,
): PageUse | undefined {
  const own = report.pages.filter(({ page }) => page === address);
  const visits = own.reduce((sum, one) => sum + one.visits, 0);
  if (visits === 0) return undefined;
  const sums = new Map<string, Sum>([...offered].map((field) => [field, nothing]));
  const vain = new Map<string, number>();
  for (const { fields, soughtInVain } of own) {
    for (const { field, used, removed, left } of fields) {
      const sum = sums.get(field) ?? nothing;
      sums.set(field, {
        used: sum.used + used.hits,
        chosen: sum.chosen + removed.of,
        removed: sum.removed + removed.hits,
        unfolded: sum.unfolded + (left?.of ?? 0),
        left: sum.left + (left?.hits ?? 0),
      });
    }
    for (const one of soughtInVain) vain.set(one.words, (vain.get(one.words) ?? 0) + one.visits);
  }
  return {
    visits,
    madeUp,
    fields: new Map([...sums].map(([field, sum]) => [field, withIntervals(sum, visits)])),
    soughtInVain: [...vain]
      .map(([words, times]) => ({ words, visits: times }))
      .sort((a, b) => b.visits - a.visits || (a.words < b.words ? -1 : 1)),
  };
}

type Sum = Pick<VisitUse, "used" | "chosen" | "removed" | "unfolded" | "left">;
const nothing: Sum = { used: 0, chosen: 0, removed: 0, unfolded: 0, left: 0 };

function withIntervals(sum: Sum, visits: number): VisitUse {
  const [low, high] = wilsonInterval(sum.used, visits);
  const [removedLow] = wilsonInterval(sum.removed, sum.chosen);
  const [leftLow] = wilsonInterval(sum.left, sum.unfolded);
  return { ...sum, low, high, removedLow, leftLow };
}
