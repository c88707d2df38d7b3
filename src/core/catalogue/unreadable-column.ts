import type { Problem } from "./problem.ts";
import type { Table } from "./table.ts";

/** A column of which less than half can be read as its kind. */
export interface UnreadableColumn {
  /** Place of the column. */
  at: number;
  /** Number of non-empty cells, and of those that can be read. */
  stated: number;
  read: number;
}

/**
 * Columns of which less than half can be read as numbers or days.
 * @param problems of the reading, one per unreadable cell
 */
export function unreadableColumns({ header, records }: Table, problems: readonly Problem[]): UnreadableColumn[] {
  const faults = new Map<string, number>();
  for (const { column, value } of problems)
    if (column !== undefined && value !== undefined) faults.set(column, (faults.get(column) ?? 0) + 1);
  return header.flatMap((heading, at) => {
    const unread = faults.get(heading) ?? 0;
    if (unread === 0) return [];
    const stated = records.filter(({ cells }) => cells[at]?.trim()).length;
    return unread * 2 > stated ? [{ at, stated, read: stated - unread }] : [];
  });
}
