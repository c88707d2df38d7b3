/** @jsxImportSource preact */
import type { DisplayProps } from "../display.ts";
import { OptionCount } from "../option-count.tsx";
import { useFold } from "../use-fold.tsx";

/** Short texts in boxes, such as sizes. */
export function Tiles({ row, options, toggle, label }: DisplayProps) {
  const fold = useFold(options, row.foldAfter * 2);
  return (
    <>
      <ul class="zt-tiles" aria-label={label}>
        {fold.shown.map((option) => (
          <li key={option.id}>
            <label class="zt-tile" data-faded={option.faded || undefined} data-chosen={option.chosen || undefined}>
              <input
                type={row.mode === "one" ? "radio" : "checkbox"}
                name={row.field}
                value={option.id}
                checked={option.chosen}
                disabled={option.faded}
                onClick={() => row.mode === "one" && option.chosen && toggle(option.id)}
                onChange={() => toggle(option.id)}
              />
              <span class="zt-name">{option.label}</span>
              <OptionCount option={option} />
            </label>
          </li>
        ))}
      </ul>
      {fold.button}
    </>
  );
}
