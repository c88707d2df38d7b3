/** @jsxImportSource preact */
import type { DisplayProps } from "../display.ts";
import { OptionCount } from "../option-count.tsx";
import { OptionInput } from "../option-input.tsx";

/** Round swatches; a value without a known colour shows its text, never a blank dot. */
export function Swatches({ row, options, toggle, label }: DisplayProps) {
  return (
    <ul class="zt-swatches" aria-label={label}>
      {options.map((option) => (
        <li key={option.id}>
          <label
            class="zt-swatch"
            data-faded={option.faded || undefined}
            title={option.count === undefined ? option.label : `${option.label} · ${option.count}`}
          >
            <OptionInput row={row} option={option} toggle={toggle} />
            {option.colours ? (
              <span class="zt-dot" style={{ background: sectors(option.colours) }} />
            ) : (
              <span class="zt-dot-text">{option.label}</span>
            )}
            <span class="zt-unseen">
              {option.colours ? option.label : null} <OptionCount option={option} />
            </span>
          </label>
        </li>
      ))}
    </ul>
  );
}

/** One colour as it is, several as equal sectors. */
export function sectors(colours: readonly string[]): string {
  if (colours.length === 1) return colours[0];
  const share = 100 / colours.length;
  return `conic-gradient(from 45deg, ${colours.map((colour, i) => `${colour} ${i * share}% ${(i + 1) * share}%`).join(", ")})`;
}
