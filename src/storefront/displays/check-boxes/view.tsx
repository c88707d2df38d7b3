/** @jsxImportSource preact */
import type { DisplayProps } from "../display.ts";
import { OptionCount } from "../option-count.tsx";
import { useFold } from "../use-fold.tsx";

export function CheckBoxes({ row, options, toggle }: DisplayProps) {
  const fold = useFold(options, row.foldAfter);
  return (
    <>
      <ul class="zt-boxes">
        {fold.shown.map((option) => (
          <li key={option.id}>
            <label class="zt-box" data-faded={option.faded || undefined}>
              <input
                type="checkbox"
                name={row.field}
                value={option.id}
                checked={option.chosen}
                disabled={option.faded}
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
