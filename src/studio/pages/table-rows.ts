import type { PageRef } from "../../core/page/page-list.ts";
import type { PageKind } from "../../core/profile/page-kinds.ts";

/** A row of the table of pages: a kind with its layout, a page, or a page's details. */
export type TableRow =
  | { is: "kind"; kind: PageKind; pages: number }
  | { is: "page"; page: PageRef }
  | { is: "detail"; page: PageRef };

/** The rows of the table: each kind, followed by its pages that match a search. */
export function tableRows(
  pages: readonly PageRef[],
  fits: (page: PageRef) => boolean,
  unfolded: ReadonlySet<string>,
): TableRow[] {
  const kinds = [...new Set(pages.map(({ kind }) => kind))];
  return kinds.flatMap((kind): TableRow[] => {
    const own = pages.filter((page) => page.kind === kind);
    const found = own.filter(fits);
    if (found.length === 0) return [];
    return [
      { is: "kind", kind, pages: own.length },
      ...found.flatMap((page): TableRow[] => [
        { is: "page", page },
        ...(unfolded.has(page.address) ? [{ is: "detail", page } as const] : []),
      ]),
    ];
  });
}

/** The key of a row in the virtualized list. */
export const rowKey = (row: TableRow): string =>
  row.is === "kind" ? `kind ${row.kind}` : `${row.is} ${row.page.address}`;
