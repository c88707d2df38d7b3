/** @jsxImportSource preact */
import type { BandView, DisplayProps } from "../display.ts";
import { OptionCount } from "../option-count.tsx";

/** Ranges to choose one of; a second click takes the choice back. */
export function Bands({ row, bands, choose, label, settings }: DisplayProps) {
  if (bands.length === 0) return <p class="zt-hint">The values lie too close together for bands.</p>;
  return (
    <BandList
      bands={bands}
      label={label}
      name={row.id}
      choose={(band) => choose(band.chosen ? undefined : band.range)}
      columns={settings.columns}
      draw={(band) => <span class="zt-name">{band.label}</span>}
    />
  );
}

interface BandListProps {
  bands: readonly BandView[];
  label: string;
  /** Groups the radio buttons. */
  name: string;
  columns?: number;
  choose(band: BandView): void;
  draw(band: BandView): preact.ComponentChildren;
}

/** Radio buttons, each for a range. */
export function BandList({ bands, label, name, columns = 1, choose, draw }: BandListProps) {
  return (
    <div
      class="zt-options zt-boxes"
      role="radiogroup"
      aria-label={label}
      data-flow="column"
      style={{ "--columns": columns > 1 ? columns : undefined }}
    >
      {bands.map((band, at) => (
        <div key={at}>
          <label class="zt-box" data-faded={band.faded || undefined}>
            <input
              type="radio"
              name={`${name}-band`}
              checked={band.chosen}
              disabled={band.faded}
              onClick={() => band.chosen && choose(band)}
              onChange={() => choose(band)}
            />
            {draw(band)}
            <OptionCount option={band} />
          </label>
        </div>
      ))}
    </div>
  );
}
