import { assumptionList } from "../../core/rehearsal/assumptions.ts";
import type { Span, Swing } from "../../core/rehearsal/span.ts";
import { inPercent } from "./in-words.ts";

/** A value of an assumption for display. */
function spoken({ name }: Swing, value: number): string {
  const { unit } = assumptionList[name];
  return unit === "share" ? `${Math.round(value * 100)}%` : `${value}${unit ? ` ${unit}` : ""}`;
}

/** Bars with the effect of each assumption on the success rate, largest first. */
export function SwingPicture({ span, arrived }: { span: Span | undefined; arrived: number }) {
  if (!span) return <p className="text-quiet">Sending the same shoppers again under different assumptions…</p>;
  return (
    <div className="flex max-w-4xl flex-col gap-3">
      <p className="max-w-prose text-[13px] text-quiet">
        What shoppers know and how far they look is an assumption. So the same shoppers were sent again, with one
        assumption at a time at its low and its high end. A comparison of two panels depends on them much less.
      </p>
      <table className="table table-sm">
        <thead>
          <tr>
            <th scope="col">Assumption</th>
            <th scope="col" className="w-1/2">
              Share that finds its product
            </th>
            <th scope="col" className="text-end">
              Low end
            </th>
            <th scope="col" className="text-end">
              High end
            </th>
          </tr>
        </thead>
        <tbody className="tabular-nums">
          {span.swings.map((swing) => (
            <tr key={swing.name}>
              <th scope="row" className="font-normal">
                {assumptionList[swing.name].words}
                <span className="block text-quiet">
                  {spoken(swing, swing.low)} to {spoken(swing, swing.high)}
                </span>
              </th>
              <td>
                <Bar
                  from={Math.min(swing.atLow, swing.atHigh)}
                  to={Math.max(swing.atLow, swing.atHigh)}
                  mark={arrived}
                />
              </td>
              <td className="text-end">{inPercent(swing.atLow)}</td>
              <td className="text-end">{inPercent(swing.atHigh)}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}

/** A section of a line from 0 to 100%, with a mark at the present value. */
function Bar({ from, to, mark }: { from: number; to: number; mark: number }) {
  const at = (value: number) => `${(value * 100).toFixed(1)}%`;
  return (
    <div className="relative h-4 bg-base-200" aria-hidden="true">
      <div className="absolute h-4 min-w-0.5 bg-accent" style={{ insetInlineStart: at(from), width: at(to - from) }} />
      <div className="absolute h-4 w-0.5 bg-base-content" style={{ insetInlineStart: at(mark) }} />
    </div>
  );
}
