/** @jsxImportSource preact */
import { BandList } from "../bands/view.tsx";
import type { DisplayProps } from "../display.ts";

/** From four stars and up down to one. */
export function Stars({ row, bands, choose, label }: DisplayProps) {
  return (
    <BandList
      bands={bands}
      label={label}
      name={row.id}
      choose={(band) => choose(band.chosen ? undefined : band.range)}
      draw={({ range: { min = 0 } }) => (
        <span class="zt-name">
          <span class="zt-stars" aria-hidden="true">
            {"★".repeat(min)}
            <i>{"★".repeat(5 - min)}</i>
          </span>
          <span class="zt-unseen">{min} stars</span> and up
        </span>
      )}
    />
  );
}
