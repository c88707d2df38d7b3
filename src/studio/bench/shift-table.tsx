import { rowTitle } from "../../core/panel/row-title.ts";
import { bands } from "../../core/settings/band.ts";
import { useOpenShop } from "../shell/shop-context.ts";
import { useBench, usePanel, useSession } from "./bench-context.ts";

/** The largest shift of each row on each band, as felt and as counted by browsers. */
export function ShiftTable() {
  const { session } = useBench();
  const { fieldOf } = useOpenShop();
  const panel = usePanel((state) => state.document);
  const shifts = useSession((state) => state.shifts);
  const trials = useSession((state) => state.trials);
  const stale = bands.some((band) => shifts[band] && shifts[band].of !== panel);
  const facets = panel.rows.filter(({ kind }) => kind === "facet");
  return (
    <>
      <p className="mb-2 text-quiet">
        How much the page jumps while a shopper uses it: the share of the screen that moves, times the distance. 0 is
        still; above 0.1 shoppers notice. Keeping empty options and giving long lists a fixed height hold a panel still.
      </p>
      <div className="mb-2 flex items-center gap-3">
        <button
          type="button"
          className="btn btn-sm"
          disabled={trials.length > 0}
          onClick={() => session.setState({ trials: bands })}
        >
          {trials.length > 0 ? `Measuring on ${trials[0]}…` : "Measure every row"}
        </button>
        <p className="text-[12px] text-quiet" role="status">
          {stale
            ? "The panel has changed since it was measured."
            : "A hidden copy of the page chooses, clears, folds and opens every row."}
        </p>
      </div>
      <table className="w-full text-[13px]">
        <thead>
          <tr className="text-quiet">
            <th className="text-start font-normal">Worst step, as felt</th>
            {bands.map((band) => (
              <th key={band} className="w-32 text-end font-normal">
                {band}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {facets.map((row) => (
            <tr key={row.id} className="hover:bg-sand" onPointerEnter={() => session.setState({ marked: row.id })}>
              <th scope="row" className="py-0.5 text-start font-medium">
                {rowTitle(row, fieldOf)}
              </th>
              {bands.map((band) => {
                const shift = shifts[band]?.rows.find((one) => one.row === row.id);
                return (
                  <td
                    key={band}
                    className={`text-end ${shift && shift.felt > 0.1 ? "text-error" : ""}`}
                    title={shift ? `As browsers count: ${shift.counted.toFixed(3)}` : undefined}
                  >
                    {shift ? (shift.felt < 0.0005 ? "still" : `${shift.step} ${shift.felt.toFixed(3)}`) : "–"}
                  </td>
                );
              })}
            </tr>
          ))}
        </tbody>
      </table>
      <p className="mt-2 text-[12px] text-quiet">
        Browsers leave out what moves within half a second after a click; hover over a cell to see their number.
      </p>
    </>
  );
}
