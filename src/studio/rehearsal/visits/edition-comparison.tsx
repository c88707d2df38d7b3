import { useState } from "react";
import type { EditionVisits } from "../../../core/api/visit-report.ts";
import { minSample, validDifference } from "../../../core/catalogue/numbers/always-valid.ts";
import { percent } from "../../shell/percent.ts";

const measures = [
  { name: "choosing", label: "Chose something" },
  { name: "empty", label: "Found nothing" },
  { name: "opening", label: "Opened a product" },
] as const;

/** Two editions against each other, on real visits, with intervals that may be looked at as often as one likes. */
export function EditionComparison({ editions }: { editions: readonly EditionVisits[] }) {
  const [chosen, choose] = useState<{ from?: number; to?: number }>({});
  const find = (n: number | undefined) => editions.find(({ edition }) => edition === n);
  const [from, to] = [find(chosen.from) ?? editions.at(-2), find(chosen.to) ?? editions.at(-1)];
  if (!from || !to || from === to) return null;
  const choice = (label: string, value: number, set: (n: number) => void) => (
    <select
      className="select select-sm w-auto"
      aria-label={label}
      value={value}
      onChange={({ target }) => set(Number(target.value))}
    >
      {editions.map(({ edition }) => (
        <option key={edition} value={edition}>
          Edition {edition}
        </option>
      ))}
    </select>
  );
  return (
    <section aria-label="Editions compared" className="flex flex-col gap-2">
      <h2 className="flex items-center gap-2 text-lg">
        {choice("First edition", from.edition, (n) => choose({ ...chosen, from: n }))} against
        {choice("Second edition", to.edition, (n) => choose({ ...chosen, to: n }))}
      </h2>
      <table className="table table-sm w-auto">
        <thead>
          <tr>
            <th scope="col">Visits that…</th>
            <th scope="col" className="text-end">
              Edition {from.edition}
            </th>
            <th scope="col" className="text-end">
              Edition {to.edition}
            </th>
            <th scope="col">Difference, in points</th>
          </tr>
        </thead>
        <tbody className="tabular-nums">
          {measures.map(({ name, label }) => (
            <tr key={name}>
              <th scope="row" className="font-medium">
                {label}
              </th>
              {[from, to].map((one) => (
                <td key={one.edition} className="text-end">
                  {percent(one[name], one.visits)}{" "}
                  <span className="text-quiet">of {one.visits.toLocaleString("en")}</span>
                </td>
              ))}
              <td>{verdict(from, to, name)}</td>
            </tr>
          ))}
        </tbody>
      </table>
      <p className="max-w-prose text-quiet">
        The 95% intervals hold however often you look. Visits compare editions fairly only if chance decides who sees
        which, as in a handoff with a trial edition.
      </p>
    </section>
  );
}

/** The difference in words: with its interval, or how many visits are missing. */
function verdict(from: EditionVisits, to: EditionVisits, name: (typeof measures)[number]["name"]): string {
  const found = validDifference({ hits: from[name], of: from.visits }, { hits: to[name], of: to.visits });
  if (!found) return `Not yet: at least ${minSample} visits of each edition are needed`;
  const { difference, low, high, differs, needed } = found;
  const interval = `${points(difference)} (${points(low)} to ${points(high)})`;
  if (differs) return interval;
  const more = needed === undefined ? undefined : Math.max(0, needed - from.visits - to.visits);
  return more === undefined || more > 1e6
    ? `${interval}: no difference so far`
    : `${interval}: not yet; about ${roundUp(more).toLocaleString("en")} more visits if it stays so`;
}

const points = (share: number): string => `${share < 0 ? "−" : "+"}${Math.abs(share * 100).toFixed(1)}`;

/** A number with two significant digits, rounded up. */
function roundUp(n: number): number {
  const unit = 10 ** Math.max(0, Math.floor(Math.log10(Math.max(1, n))) - 1);
  return Math.ceil(n / unit) * unit;
}
