import { TriangleAlert } from "lucide-react";
import { useMemo } from "react";
import type { EditionSummary } from "../../core/api/edition.ts";
import type { Difference } from "../../core/document/differences.ts";
import type { Checked } from "../../core/report/check-shop.ts";
import type { ApiError } from "../api.ts";
import { Fault } from "../shell/alert.tsx";
import { pageName } from "../shell/page-names.ts";
import { useAllPages, useOpenShop } from "../shell/shop-context.ts";
import { type EditionState, stateName } from "./use-editions.ts";

interface Props {
  editions: readonly EditionSummary[];
  from: EditionState;
  to: EditionState;
  choose(states: { from: EditionState; to: EditionState }): void;
  differences: readonly Difference[] | undefined;
  findings: readonly Checked[] | undefined;
  error: ApiError | undefined;
}

/** Changes between two versions in words, with new findings. */
export function DifferenceList({ editions, from, to, choose, differences, findings, error }: Props) {
  const groups = useMemo(() => {
    const found = new Map<string, string[]>();
    for (const { where, words } of differences ?? []) found.set(where, [...(found.get(where) ?? []), words]);
    return [...found];
  }, [differences]);
  const { shop } = useOpenShop();
  const pages = useAllPages();
  /** The place of a finding: in a panel, on a page, or both. */
  const placeOf = (panel?: string, page?: string): string => {
    const name = shop.panels.find(({ slug }) => slug === panel)?.name ?? panel;
    const shown = pages.find(({ address }) => address === page);
    return [...(name ? [`in “${name}”`] : []), ...(page ? [`on ${shown ? pageName(shown) : page}`] : [])].join(" ");
  };
  const states: EditionState[] = [...editions.map(({ n }) => n), "draft"];
  const pick = (label: string, value: EditionState, put: (state: EditionState) => void) => (
    <select
      className="select select-sm w-auto"
      aria-label={label}
      value={value}
      onChange={(event) => put(event.target.value === "draft" ? "draft" : Number(event.target.value))}
    >
      {states.map((state) => (
        <option key={state} value={state}>
          {stateName(state)}
        </option>
      ))}
    </select>
  );
  return (
    <div className="flex max-h-[38%] flex-none flex-col border-b border-hair">
      <div className="flex flex-none flex-wrap items-center gap-2 px-4 py-2 text-[13px]">
        From {pick("From", from, (state) => choose({ from: state, to }))} to{" "}
        {pick("To", to, (state) => choose({ from, to: state }))}
        <span role="status" className="ms-2 text-quiet">
          {differences === undefined
            ? "Comparing…"
            : `${differences.length} ${differences.length === 1 ? "difference" : "differences"}`}
        </span>
      </div>
      <Fault text={error?.message} className="px-4 pb-2" />
      <div
        // biome-ignore lint/a11y/noNoninteractiveTabindex: a list that scrolls must be reachable by the keyboard
        tabIndex={0}
        role="region"
        aria-label="Differences and new findings"
        className="min-h-0 flex-1 overflow-y-auto px-4 pb-3 text-[13px]"
      >
        {findings?.length ? (
          <ul aria-label="New findings" className="mb-2 flex flex-col gap-1">
            {findings.map(({ words, panel, page }) => (
              <li key={`${page} ${panel} ${words}`} className="flex gap-2 rounded-md bg-error/10 px-2 py-1">
                <TriangleAlert size={14} aria-hidden className="mt-0.5 flex-none text-error" />
                <span>
                  <b className="font-medium">New finding</b> {placeOf(panel, page)}: {words}
                </span>
              </li>
            ))}
          </ul>
        ) : null}
        {differences?.length === 0 ? <p className="text-quiet">No differences.</p> : null}
        <dl aria-label="Differences" className="grid grid-cols-[minmax(140px,220px)_1fr] gap-x-4 gap-y-1.5">
          {groups.map(([where, words]) => (
            <div key={where} className="contents">
              <dt className="font-medium">{where}</dt>
              <dd>
                <ul className="flex flex-col gap-0.5">
                  {words.map((one) => (
                    <li key={one}>{one.charAt(0).toUpperCase() + one.slice(1)}.</li>
                  ))}
                </ul>
              </dd>
            </div>
          ))}
        </dl>
      </div>
    </div>
  );
}
