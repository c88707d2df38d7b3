/** @jsxImportSource preact */
import type { DisplayProps } from "../display.ts";
import { OptionCount } from "../option-count.tsx";
import { OptionInput } from "../option-input.tsx";
import { useFold } from "../use-fold.tsx";

/** Short texts in boxes, such as sizes. Two of them take the room of one check box. */
export function Tiles({ row, options, toggle, label }: DisplayProps) {
  const fold = useFold(options, row.foldAfter * 2);
  return (
    <>
      <ul class="zt-tiles" aria-label={label}>
        {fold.shown.map((option) => (
          <li key={option.id}>
            <label class="zt-tile" data-faded={option.faded || undefined} data-chosen={option.chosen || undefined}>
              <OptionInput row={row} option={option} toggle={toggle} />
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
