import type { ChangeSummary } from "../../core/reconcile/change-summary.ts";
import { CellText } from "./moves.tsx";

type Hidden = ChangeSummary["hidden"][number];

/** The key of a corrected cell. */
export const hiddenKey = ({ mend, product }: Pick<Hidden, "mend" | "product">): string => `${mend}\n${product.id}`;

interface Props {
  hidden: readonly Hidden[];
  /** Their total number. */
  count: number;
  cleared: ReadonlySet<string>;
  setCleared(names: ReadonlySet<string>): void;
}

/** Cells that were set by hand and differ in the new file: each correction stays, or the new value is used. */
export function HiddenList({ hidden, count, cleared, setCleared }: Props) {
  if (hidden.length === 0) return null;
  const every = hidden.every((one) => cleared.has(hiddenKey(one)));
  const flip = (names: readonly string[], on: boolean) => {
    const next = new Set(cleared);
    for (const name of names) on ? next.add(name) : next.delete(name);
    setCleared(next);
  };
  return (
    <section aria-label="Corrections that hide a newer value">
      <div className="mb-1 flex items-center gap-3">
        <h2 className="flex-1 text-lg">
          {count === 1
            ? "One correction hides a newer value"
            : `Corrections hide ${count.toLocaleString("en")} newer values`}
        </h2>
        <button type="button" className="btn btn-sm bg-base-100" onClick={() => flip(hidden.map(hiddenKey), !every)}>
          {every ? "Keep all" : "Use the new values"}
        </button>
      </div>
      <p className="mb-1 text-[13px] text-quiet">
        You corrected these by hand. Keep your corrections, or use the new file’s values.
      </p>
      {/* biome-ignore lint/a11y/noNoninteractiveTabindex: a list that scrolls must be reachable by the keyboard */}
      <ul tabIndex={0} className="max-h-64 divide-y divide-hair overflow-auto">
        {hidden.map((one) => {
          const { product, variant, field, was, is, shows } = one;
          const name = hiddenKey(one);
          return (
            <li key={name}>
              <label className="flex items-baseline gap-3 py-1.5 text-[13px]">
                <input
                  type="checkbox"
                  className="checkbox checkbox-xs self-center"
                  checked={cleared.has(name)}
                  onChange={(event) => flip([name], event.target.checked)}
                />
                <span className="flex-1">
                  <b className="font-semibold">{product.title}</b>
                  {variant ? ` (${variant})` : ""}, {field}: was <CellText text={was} /> in the old file and is{" "}
                  <b>
                    <CellText text={is} />
                  </b>{" "}
                  in the new one; your correction is{" "}
                  <b>
                    <CellText text={shows} />
                  </b>
                </span>
                <span className="text-quiet">{cleared.has(name) ? "uses the new file" : "Use the new value"}</span>
              </label>
            </li>
          );
        })}
      </ul>
    </section>
  );
}
