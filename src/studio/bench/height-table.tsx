import { useEffect, useMemo } from "react";
import { type Measures, onScreen } from "../../core/findings/measure.ts";
import { rowTitle } from "../../core/panel/row-title.ts";
import { type Band, bands } from "../../core/settings/band.ts";
import { useOpenShop } from "../shell/shop-context.ts";
import { useBench, usePanel, useSession } from "./bench-context.ts";

/** Row heights on each band, relative to the usual screen. */
export function useMeasures(): Measures {
  const measures = useSession((state) => state.measures);
  const screens = useSession((state) => state.screens);
  const shifts = useSession((state) => state.shifts);
  return useMemo(() => {
    const against: Measures = {};
    for (const band of bands) {
      const measure = measures[band];
      const tried = shifts[band]?.rows;
      if (measure) against[band] = { ...onScreen(measure, screens[band].height), ...(tried ? { shifts: tried } : {}) };
    }
    return against;
  }, [measures, screens, shifts]);
}

/** The height of each row on each band; the first screen can be changed. */
export function HeightTable() {
  const { session } = useBench();
  const { fieldOf } = useOpenShop();
  const rows = usePanel((state) => state.document.rows);
  const measures = useMeasures();
  useEffect(() => {
    session.setState({ measuring: true });
    return () => session.setState({ measuring: false });
  }, [session]);
  return (
    <>
      <p className="mb-2 text-quiet">
        Height of each row on the page, measured in the browser just now. Few shoppers find rows below the first screen.
        To make a row lower, show fewer options, limit its height or fold it, in its settings.
      </p>
      <table className="w-full text-[13px]">
        <thead>
          <tr className="text-quiet">
            <th className="text-start font-normal">Height in px</th>
            {bands.map((band) => (
              <th key={band} className="w-20 text-end font-normal">
                {band}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {rows.map((row) => (
            <tr key={row.id} className="hover:bg-sand" onPointerEnter={() => session.setState({ marked: row.id })}>
              <th scope="row" className="py-0.5 text-start font-medium">
                {rowTitle(row, fieldOf)}
              </th>
              {bands.map((band) => (
                <HeightCell key={band} value={measures[band]?.rows[row.id]} screen={measures[band]?.screen} />
              ))}
            </tr>
          ))}
          <tr className="border-t border-hair">
            <th scope="row" className="py-0.5 text-start">
              The panel
            </th>
            {bands.map((band) => (
              <HeightCell key={band} value={measures[band]?.panel} />
            ))}
          </tr>
          <tr className="text-quiet">
            <th scope="row" className="py-0.5 text-start font-normal">
              First screen, without the fixed bars
            </th>
            {bands.map((band) => (
              <HeightCell key={band} value={measures[band]?.screen} />
            ))}
          </tr>
          <tr className="text-quiet">
            <th scope="row" className="py-0.5 text-start font-normal">
              Screen
            </th>
            {bands.map((band) => (
              <td key={band} className="text-end">
                <ScreenHeight band={band} />
              </td>
            ))}
          </tr>
        </tbody>
      </table>
    </>
  );
}

/** A height; red if it alone exceeds the screen. */
function HeightCell({
  value,
  screen = Number.POSITIVE_INFINITY,
}: {
  value: number | undefined;
  screen?: number | undefined;
}) {
  return <td className={`text-end ${value !== undefined && value > screen ? "text-error" : ""}`}>{value ?? "–"}</td>;
}

/** The height of a band's screen, in CSS px, as typed. */
function ScreenHeight({ band }: { band: Band }) {
  const { session } = useBench();
  const { width, height } = useSession((state) => state.screens[band]);
  const [least, most] = [200, 4000];
  return (
    <input
      type="number"
      className="input input-xs w-16 text-end"
      aria-label={`Height of the screen on ${band}`}
      title={`${width} × ${height} px`}
      defaultValue={height}
      min={least}
      max={most}
      onBlur={(event) => {
        const typed = Math.round(event.target.valueAsNumber);
        const next = Number.isFinite(typed) ? Math.max(least, Math.min(typed, most)) : height;
        event.target.value = String(next);
        session.setState(({ screens }) => ({ screens: { ...screens, [band]: { width, height: next } } }));
      }}
      onKeyDown={(event) => event.key === "Enter" && event.currentTarget.blur()}
    />
  );
}
