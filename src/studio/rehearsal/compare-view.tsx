import { useEffect, useState } from "react";
import type { EditionSummary } from "../../core/api/edition.ts";
import type { ShopVersion } from "../../core/api/shop-version.ts";
import type { MeasureDifference, MeasureName } from "../../core/rehearsal/compare.ts";
import { stateName, useEditions } from "../editions/use-editions.ts";
import { Fault } from "../shell/alert.tsx";
import { bandNames, pixels, points, seconds, signed } from "./in-words.ts";
import type { Order } from "./rehearsal.worker.ts";
import { dataOf, type RemoteRehearsal, type Run, useStand } from "./use-rehearsal.ts";

const names: Record<MeasureName, string> = {
  arrived: "Find their product",
  moves: "Choices, of those who find it both times",
  seconds: "Seconds, of those who find it both times",
  px: "Px scrolled by them",
};
const inWords: Record<MeasureName, (value: number) => string> = {
  arrived: (share) => `${(share * 100).toFixed(1)}%`,
  moves: (n) => n.toFixed(2),
  seconds,
  px: pixels,
};
const change: Record<MeasureName, (value: number) => string> = {
  ...inWords,
  arrived: points,
  // Differences below a tenth of a second are shown as none.
  seconds: (value) => (value < 1 ? value.toFixed(2) : seconds(value)),
};
/** The measures of which more is better. */
const moreIsBetter: ReadonlySet<MeasureName> = new Set(["arrived"]);

/** Compares the draft with an edition, two editions, two panels, or two bands, with the same shoppers. */
export function CompareView({ shop, run, service }: { shop: string; run: Run; service: RemoteRehearsal }) {
  const { data: editions } = useEditions(shop);
  const { order, stage } = run;
  const [chosen, choose] = useState<{ before?: string; after?: string }>({});
  const sides = sidesOf(order, editions ?? [], stage?.facets[0]?.panel);
  const after = sides.find(({ key }) => key === (chosen.after ?? "draft")) ?? sides[0];
  const usual = sides.find(({ edition }) => edition !== undefined) ?? sides.at(-1);
  const before = sides.find(({ key }) => key === chosen.before) ?? usual;
  const stands = { before: useStand(shop, before?.edition), after: useStand(shop, after?.edition) };
  const [found, setFound] = useState<{ of: string; differences: MeasureDifference[] }>();
  const [trouble, setTrouble] = useState<string>();
  const asked = `${before?.key} ${after?.key}`;
  const [first, second] = [stands.before.data, stands.after.data];
  // biome-ignore lint/correctness/useExhaustiveDependencies: the sides are named by their keys
  useEffect(() => {
    if (!before || !after || (before.edition && !first) || (after.edition && !second)) return;
    let over = false;
    setTrouble(undefined);
    service.compare(before.order(shop, first), after.order(shop, second)).then(
      (differences) => over || setFound({ of: asked, differences }),
      (problem: Error) => over || setTrouble(problem.message),
    );
    return () => {
      over = true;
    };
  }, [asked, first, second, order, service, shop]);
  const error = stands.before.error ?? stands.after.error;
  const [name, here] = [before?.name ?? "", after?.name ?? ""];
  const done = found?.of === asked ? found : undefined;
  const differs = done?.differences.some((one) => one.differs);
  return (
    <div className="flex max-w-4xl flex-col gap-3">
      <div className="flex items-center gap-2 text-[13px] text-quiet">
        <SideChoice
          label="After"
          sides={sides}
          value={after?.key}
          choose={(key) => choose({ ...chosen, after: key })}
        />
        beside
        <SideChoice
          label="Before"
          sides={sides}
          value={before?.key}
          choose={(key) => choose({ ...chosen, before: key })}
        />
      </div>
      <Fault text={trouble ?? error?.message} />
      {done ? (
        <>
          <p role="status" className="font-medium">
            {differs
              ? "They differ by more than chance:"
              : `No difference shown by ${order.shoppers.toLocaleString("en")} shoppers.`}
          </p>
          <table className="table table-sm">
            <thead>
              <tr>
                <th scope="col">Of the same shoppers</th>
                <th scope="col" className="text-end">
                  {name}
                </th>
                <th scope="col" className="text-end">
                  {here}
                </th>
                <th scope="col" className="text-end">
                  MeasureDifference
                </th>
                <th scope="col" className="text-end">
                  95% interval
                </th>
              </tr>
            </thead>
            <tbody className="tabular-nums">
              {done.differences.map((one) => (
                <tr key={one.measure}>
                  <th scope="row" className="font-medium">
                    {names[one.measure]}
                  </th>
                  <td className="text-end">{inWords[one.measure](one.before)}</td>
                  <td className="text-end">{inWords[one.measure](one.after)}</td>
                  <td className={`text-end ${toneOf(one)}`}>
                    {one.differs
                      ? `${signed(one.mean, change[one.measure])}, ${isBetter(one) ? "better" : "worse"}`
                      : "none shown"}
                  </td>
                  <td className="text-end text-quiet">
                    {signed(one.low, change[one.measure])} to {signed(one.high, change[one.measure])}
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
          <p className="text-[13px] text-quiet">
            Each shopper is sent through both and compared with themselves: percentile bootstrap of the paired
            differences, corrected by Holm’s method for the four measures. Heights are estimated on both sides alike.
          </p>
        </>
      ) : (
        <p className="text-quiet">Sending the same shoppers…</p>
      )}
    </div>
  );
}

/** One side of a comparison. */
interface Side {
  key: string;
  name: string;
  /** The edition with its pages and panels. */
  edition?: number;
  /** Page and panel to rehearse. @param stand that of the edition */
  order(shop: string, stand: ShopVersion | undefined): Order;
}

/**
 * Everything that can be compared: states of the shop, other panels in place of the present one, and the other band.
 */
function sidesOf(order: Order, editions: readonly EditionSummary[], standing: string | undefined): Side[] {
  const { stand, band } = order;
  const otherBand = band === "wide" ? "slim" : "wide";
  return [
    { key: "draft", name: "Draft", order: () => order },
    ...editions.map(
      ({ n }): Side => ({
        key: `edition ${n}`,
        name: stateName(n),
        edition: n,
        order: (shop, own) => ({ ...order, data: dataOf(shop, n), stand: own ?? stand }),
      }),
    ),
    ...stand.panels
      .filter(({ slug }) => standing !== undefined && slug !== standing)
      .map(
        ({ slug, document }): Side => ({
          key: `panel ${slug}`,
          name: `With “${document.name}”`,
          order: () => ({
            ...order,
            stand: {
              ...stand,
              // The present panel, replaced by the other one.
              panels: stand.panels.map((one) =>
                one.slug === standing
                  ? { slug: standing, document: { ...document, placement: one.document.placement } }
                  : one,
              ),
            },
          }),
        }),
      ),
    { key: "band", name: bandNames[otherBand], order: () => ({ ...order, band: otherBand }) },
  ];
}

function SideChoice({
  label,
  sides,
  value,
  choose,
}: {
  label: string;
  sides: readonly Side[];
  value: string | undefined;
  choose(key: string): void;
}) {
  return (
    <select
      className="select select-sm w-52 text-base-content"
      aria-label={label}
      value={value}
      onChange={(event) => choose(event.target.value)}
    >
      {sides.map(({ key, name }) => (
        <option key={key} value={key}>
          {name}
        </option>
      ))}
    </select>
  );
}

const isBetter = ({ measure, mean }: MeasureDifference): boolean => mean > 0 === moreIsBetter.has(measure);
const toneOf = (one: MeasureDifference): string =>
  !one.differs ? "text-quiet" : isBetter(one) ? "text-success" : "text-error";
