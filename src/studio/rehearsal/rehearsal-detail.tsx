import { successRate } from "../../core/rehearsal/summary.ts";
import { BetterView } from "./better-view.tsx";
import { CompareView } from "./compare-view.tsx";
import { DeadEndList } from "./dead-end-list.tsx";
import { FacetUses } from "./facet-uses.tsx";
import { bandNames } from "./in-words.ts";
import { ShopperList } from "./shopper-list.tsx";
import { SwingPicture } from "./swing-picture.tsx";
import type { RemoteRehearsal, Run } from "./use-rehearsal.ts";
import { WaysPicture } from "./ways-picture.tsx";

const parts = {
  ways: "Paths",
  facets: "Facets",
  ends: "Dead ends",
  shoppers: "Single shoppers",
  compare: "Compare",
  better: "Improvements",
  swings: "Assumptions",
} as const;
export type Part = keyof typeof parts;

interface Props {
  shop: string;
  run: Run;
  service: RemoteRehearsal;
  part: Part;
  show(part: Part): void;
}

/** All results of a rehearsal on one band. */
export function RehearsalDetail({ shop, run, service, part, show }: Props) {
  const view = {
    ways: () => <WaysPicture run={run} />,
    facets: () => <FacetUses shop={shop} run={run} service={service} />,
    ends: () => <DeadEndList run={run} />,
    shoppers: () => <ShopperList shop={shop} run={run} />,
    compare: () => <CompareView shop={shop} run={run} service={service} />,
    swings: () => <SwingPicture span={run.span} arrived={successRate(run.walks)} />,
    better: () => <BetterView shop={shop} run={run} service={service} />,
  }[part];
  return (
    <div className="flex flex-1 flex-col">
      <div role="tablist" aria-label="Details" className="flex gap-1 border-b border-hair px-4 pt-2">
        {(Object.keys(parts) as Part[]).map((one) => (
          <button
            key={one}
            type="button"
            role="tab"
            aria-selected={one === part}
            className={`-mb-px rounded-t-lg border px-3 py-1.5 text-[13px] ${one === part ? "border-hair border-b-base-100 bg-base-100 font-medium" : "border-transparent text-quiet hover:text-base-content"}`}
            onClick={() => show(one)}
          >
            {parts[one]}
          </button>
        ))}
        <span className="ms-auto self-center text-[13px] text-quiet">{bandNames[run.order.band]}</span>
      </div>
      <div role="tabpanel" aria-label={parts[part]} className="flex-1 p-4">
        {view()}
      </div>
    </div>
  );
}
