import { type Assumptions, assumptionList, assumptionNames, statedShare } from "../../core/rehearsal/assumptions.ts";
import { useOpenShop } from "../shell/shop-context.ts";
import type { RehearsedFacet } from "./rehearsal.worker.ts";

interface Props {
  assumptions: Assumptions;
  change(next: Assumptions): void;
  facets: readonly RehearsedFacet[];
}

/** All assumptions about shoppers, which can be changed. */
export function AssumptionList({ assumptions, change, facets }: Props) {
  const { fieldOf } = useOpenShop();
  const { values, knows } = assumptions;
  const changed = Object.keys(values).length + Object.keys(knows).length;
  const fields = [...new Map(facets.map((one) => [one.field, one])).values()];
  return (
    <details className="border-t border-hair pt-3">
      <summary className="cursor-pointer font-medium">
        Assumptions about shoppers{changed > 0 ? <span className="text-quiet">, {changed} changed</span> : null}
      </summary>
      <h2 className="mt-3 mb-1 text-[13px] text-quiet">Shoppers who know their product’s value</h2>
      <ul className="flex flex-col gap-1">
        {fields.map(({ field, title }) => {
          const known = fieldOf(field);
          return known ? (
            <li key={field}>
              <NumberLine
                words={title}
                unit="share"
                value={statedShare(known, assumptions)}
                own={Object.hasOwn(knows, field)}
                min={0}
                max={1}
                set={(value) => {
                  const { [field]: _old, ...rest } = knows;
                  change({ values, knows: value === undefined ? rest : { ...rest, [field]: value } });
                }}
              />
            </li>
          ) : null;
        })}
      </ul>
      <h2 className="mt-3 mb-1 text-[13px] text-quiet">All shoppers</h2>
      <ul className="flex flex-col gap-1">
        {assumptionNames.map((name) => {
          const { words, why, fallback, ...rest } = assumptionList[name];
          return (
            <li key={name}>
              <NumberLine
                {...rest}
                words={words}
                why={why}
                value={values[name] ?? fallback}
                own={values[name] !== undefined}
                set={(value) => {
                  const { [name]: _old, ...others } = values;
                  change({ knows, values: value === undefined ? others : { ...others, [name]: value } });
                }}
              />
            </li>
          );
        })}
      </ul>
    </details>
  );
}

interface LineProps {
  words: string;
  why?: string;
  unit: "" | "s" | "share" | "px";
  value: number;
  own: boolean;
  min: number;
  max: number;
  /** Undefined restores the default. */
  set(value: number | undefined): void;
}

function NumberLine({ words, why, unit, value, own, min, max, set }: LineProps) {
  const scale = unit === "share" ? 100 : 1;
  const shown = Number((value * scale).toPrecision(4));
  return (
    <label className="flex items-center gap-2 text-[13px]" title={why}>
      <span className={`min-w-0 flex-1 ${own ? "font-medium" : ""}`}>{words}</span>
      <input
        key={shown}
        type="number"
        step="any"
        min={min * scale}
        max={max * scale}
        className="input input-xs w-16 text-end tabular-nums"
        defaultValue={shown}
        onBlur={({ target: input }) => {
          const next = Number(input.value) / scale;
          if (input.value.trim() === "") set(undefined);
          else if (Number.isFinite(next) && next !== value) set(Math.min(max, Math.max(min, next)));
        }}
      />
      <span className="w-4 text-quiet">{unit === "share" ? "%" : unit}</span>
    </label>
  );
}
