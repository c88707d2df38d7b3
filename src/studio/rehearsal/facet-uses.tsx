import { proxy } from "comlink";
import { useEffect, useMemo, useState } from "react";
import type { Share } from "../../core/api/visit-report.ts";
import { wilsonInterval } from "../../core/catalogue/numbers/wilson.ts";
import { visitsWord } from "../../core/findings/visit-use.ts";
import type { MeasureDifference } from "../../core/rehearsal/compare.ts";
import { summaryOf } from "../../core/rehearsal/summary.ts";
import type { Band } from "../../core/settings/band.ts";
import { Explained } from "../shell/explained.tsx";
import { percent } from "../shell/percent.ts";
import { points, seconds, signed } from "./in-words.ts";
import type { RemoteRehearsal, Run } from "./use-rehearsal.ts";
import { ShareBar } from "./visits/share-bar.tsx";
import { isMadeUp, useVisits } from "./visits/use-visits.ts";

/** The use of each facet, and the effect of removing it. */
export function FacetUses({ shop, run, service }: { shop: string; run: Run; service: RemoteRehearsal }) {
  const { walks, stage, order, running } = run;
  const summary = useMemo(() => summaryOf(walks), [walks]);
  const [without, setWithout] = useState<ReadonlyMap<string, readonly MeasureDifference[]>>(new Map());
  useEffect(() => {
    if (running || !stage) return;
    let over = false;
    setWithout(new Map());
    service
      .without(
        order,
        stage.facets,
        proxy((row: string, differences: MeasureDifference[]) => {
          if (!over) setWithout((now) => new Map([...now, [row, differences]]));
        }),
      )
      .catch((error: Error) => console.error(error));
    return () => {
      over = true;
    };
  }, [running, stage, order, service]);
  const real = useRealUses(shop, order.address, order.band);
  const uses = new Map(summary.uses.map((use) => [use.row, use]));
  const n = walks.length;
  const facets = [...(stage?.facets ?? [])].sort(
    (a, b) => (uses.get(b.row)?.share ?? 0) - (uses.get(a.row)?.share ?? 0),
  );
  return (
    <table className="table table-sm max-w-4xl">
      <thead>
        <tr>
          <th scope="col">Facet</th>
          <th scope="col" className="text-end">
            Used by
          </th>
          {real ? (
            <th scope="col">
              <Explained by="Of the real visits to this page with a choice, the share that chose something here, with its 95% interval.">
                Used in {real.called}
              </Explained>
            </th>
          ) : null}
          <th scope="col" className="text-end">
            Products before and after
          </th>
          <th scope="col" className="text-end">
            Dead ends
          </th>
          <th scope="col">Without this facet</th>
        </tr>
      </thead>
      <tbody className="tabular-nums">
        {facets.map(({ row, title, field }) => {
          const use = uses.get(row);
          const known = without.get(row);
          return (
            <tr key={row}>
              <th scope="row" className="font-medium">
                {title}
              </th>
              <td className="text-end">{percent(Math.round((use?.share ?? 0) * n), n)}</td>
              {real ? (
                <td>
                  <ShareBar share={real.of(field)} />
                </td>
              ) : null}
              <td className="text-end">
                {use && use.share > 0 ? `${Math.round(use.before)} → ${Math.round(use.after)}` : "–"}
              </td>
              <td className="text-end">{use && use.deadEnds > 0 ? percent(Math.round(use.deadEnds * n), n) : "–"}</td>
              <td className={known ? "" : "text-quiet"}>{known ? costWords(known) : running ? "" : "…"}</td>
            </tr>
          );
        })}
      </tbody>
    </table>
  );
}

interface RealUses {
  /** The visits in a heading. */
  called: string;
  of(field: string): Share;
}

/** The share of real visits with a choice that used a field, on a page and band; undefined without such visits. */
function useRealUses(shop: string, address: string, band: Band): RealUses | undefined {
  const { data } = useVisits(shop);
  const page = data?.report?.pages.find((one) => one.page === address && one.band === band);
  if (!data || !page || page.choosing.hits === 0) return undefined;
  return {
    called: visitsWord({ madeUp: isMadeUp(data) }),
    of(field) {
      const hits = page.fields.find((one) => one.field === field)?.used.hits ?? 0;
      const [low, high] = wilsonInterval(hits, page.choosing.hits);
      return { hits, of: page.choosing.hits, low, high };
    },
  };
}

/** The significant effects of removing a facet. */
function costWords(differences: readonly MeasureDifference[]): string {
  const arrived = differences.find(({ measure }) => measure === "arrived");
  const time = differences.find(({ measure }) => measure === "seconds");
  const words = [
    ...(arrived?.differs
      ? [`${points(Math.abs(arrived.mean))} ${arrived.mean < 0 ? "fewer" : "more"} find their product`]
      : []),
    ...(time?.differs && Math.abs(time.mean) >= 0.1 ? [`${signed(time.mean, seconds)} s for those who do`] : []),
  ];
  return words.join(", ") || "No difference shown by these shoppers";
}
