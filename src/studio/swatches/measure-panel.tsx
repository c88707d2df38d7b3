import { useEffect, useState } from "react";
import { type SwatchEdit, setLimit } from "../../core/swatch/edit.ts";
import { type ClosePair, lowestContrast, needsOutline } from "../../core/swatch/measure.ts";
import { Opens } from "../numbers/opens.tsx";
import { useShopGround } from "../shell/use-looks.ts";
import { contrastNumber, lowestContrastOn, pairNumber } from "./opened.ts";
import { SwatchDot } from "./swatch-dot.tsx";
import type { SwatchWorker } from "./use-book.ts";
import type { BookValue } from "./value-row.tsx";

const shown = 40;
const seen = { usual: "", protan: "protan", deutan: "deutan", tritan: "tritan" } as const;

/** Lists swatch problems: pairs too close, swatches too pale for their background, values without a swatch. */
export function MeasurePanel({
  values,
  limit,
  worker,
  apply,
}: {
  values: readonly BookValue[];
  limit: number;
  worker: SwatchWorker;
  apply(edit: SwatchEdit): void;
}) {
  const [pairs, setPairs] = useState<readonly ClosePair[]>([]);
  const swatches = values.flatMap(({ id, view }) =>
    view.colours && !view.picture ? [{ id, colours: view.colours }] : [],
  );
  const asked = JSON.stringify([swatches, limit]);
  // biome-ignore lint/correctness/useExhaustiveDependencies: `asked` says what is measured
  useEffect(() => {
    let over = false;
    worker.closePairs(swatches, limit).then((found) => over || setPairs(found));
    return () => {
      over = true;
    };
  }, [asked, worker]);
  const byId = new Map(values.map((value) => [value.id, value]));
  const ground = useShopGround();
  const pale = values.filter(({ view }) => needsOutline(view.colours ?? [], ground));
  const unset = values.filter(({ view }) => view.source === "text");
  return (
    <aside
      aria-label="Measured"
      className="w-72 flex-none overflow-auto border-s border-hair bg-base-200 px-4 py-3 text-[13px] max-md:w-full max-md:border-t"
    >
      <div className="mb-1 flex items-center gap-2">
        <h2 className="flex-1 text-[15px]">
          {pairs.length} {pairs.length === 1 ? "pair" : "pairs"} too close
        </h2>
        <label className="flex items-center gap-1 text-[13px] text-quiet">
          below ΔE
          <input
            type="number"
            className="input input-xs w-14"
            min={0}
            max={50}
            step={0.5}
            key={limit}
            defaultValue={limit}
            onBlur={(event) => Number(event.target.value) !== limit && apply(setLimit(Number(event.target.value)))}
            onKeyDown={(event) => event.key === "Enter" && event.currentTarget.blur()}
          />
        </label>
      </div>
      <ul aria-label="Pairs too close">
        {pairs.slice(0, shown).map(({ a, b, difference, vision }) => (
          <li key={`${a} ${b}`} className="flex items-center gap-1.5 py-0.5">
            <SwatchDot view={byId.get(a)?.view} size={20} />
            <SwatchDot view={byId.get(b)?.view} size={20} />
            <span className="min-w-0 flex-1 truncate">
              {byId.get(a)?.label}, {byId.get(b)?.label}
            </span>
            <span className="text-[13px] text-quiet">{seen[vision]}</span>
            <Opens number={() => pairNumber(byId.get(a), byId.get(b), difference, limit)} className="font-semibold">
              {difference.toFixed(1)}
            </Opens>
          </li>
        ))}
        {pairs.length > shown ? <li className="text-quiet">and {pairs.length - shown} more</li> : null}
      </ul>
      <h2 className="mb-1 mt-4 text-[15px]">
        {pale.length} below {lowestContrast}:1 on {ground === "#ffffff" ? "white" : ground}
      </h2>
      <p className="text-[13px] text-quiet">
        That is the background of the shop’s look.{pale.length > 0 ? " They get an outline automatically." : ""}
      </p>
      <ul>
        {pale.map(({ id, label, view }) => (
          <li key={id} className="flex items-center gap-1.5 py-0.5">
            <SwatchDot view={view} size={20} />
            <span className="min-w-0 flex-1 truncate">{label}</span>
            <Opens number={() => contrastNumber(label, view.colours ?? [], ground)}>
              {lowestContrastOn(view.colours ?? [], ground).toFixed(1)}:1
            </Opens>
          </li>
        ))}
      </ul>
      <h2 className="mb-1 mt-4 text-[15px]">
        {unset.length === 0 ? "Every value has a swatch" : `${unset.length} unset`}
      </h2>
      <p className="text-quiet">{unset.map(({ label }) => label).join(", ")}</p>
    </aside>
  );
}
