import { type KeyboardEvent, useState } from "react";
import { whenThere } from "../shell/when-there.ts";

/** A cell by its row and column, from 0. */
export interface CellPlace {
  row: number;
  column: number;
}

/** Rows that Page Up and Page Down move by. */
const pageRows = 15;

/**
 * Keys of a grid: only one of its cells is reached by Tab, and arrow keys lead to the others. Source: WAI-ARIA
 * Authoring Practices, grid pattern.
 * @param show scrolls a row into sight, which may not be drawn yet
 */
export function useGridKeys({ rows, columns, show }: { rows: number; columns: number; show(row: number): void }) {
  const [at, setAt] = useState<CellPlace>({ row: 0, column: 0 });
  const go = (to: CellPlace) => {
    const place = {
      row: Math.min(Math.max(0, to.row), rows - 1),
      column: Math.min(Math.max(0, to.column), columns - 1),
    };
    setAt(place);
    show(place.row);
    whenThere(`[data-cell="${cellName(place)}"]`, (cell) => cell.focus());
  };
  const onKeyDown = (event: KeyboardEvent) => {
    // Keys in a cell that is being edited belong to its text.
    if (!(event.target instanceof HTMLElement) || event.target.dataset.cell === undefined) return;
    const step = steps[event.key];
    const [row = 0, column = 0] = event.target.dataset.cell.split(" ").map(Number);
    const whole = event.ctrlKey || event.metaKey;
    if (step) go({ row: row + step[0], column: column + step[1] });
    else if (event.key === "Home") go({ row: whole ? 0 : row, column: 0 });
    else if (event.key === "End") go({ row: whole ? rows - 1 : row, column: columns - 1 });
    else return;
    event.preventDefault();
  };
  return { at, setAt, onKeyDown };
}

const steps: Readonly<Record<string, readonly [rows: number, columns: number]>> = {
  ArrowDown: [1, 0],
  ArrowUp: [-1, 0],
  ArrowRight: [0, 1],
  ArrowLeft: [0, -1],
  PageDown: [pageRows, 0],
  PageUp: [-pageRows, 0],
};

/** The name of a cell in the page, by which it is found. */
export const cellName = ({ row, column }: CellPlace): string => `${row} ${column}`;
