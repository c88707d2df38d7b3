/** @jsxImportSource preact */
import type { DisplayProps } from "../display.ts";
import { BoxList } from "../option-input.tsx";
import { useFold } from "../use-fold.tsx";

export function CheckBoxes({ row, options, toggle }: DisplayProps) {
  const fold = useFold(options, row.foldAfter);
  return (
    <>
      <BoxList row={row} options={fold.shown} toggle={toggle} />
      {fold.button}
    </>
  );
}
