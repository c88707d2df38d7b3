import {
  type Column,
  type ColumnDef,
  getCoreRowModel,
  type SortingState,
  useReactTable,
  type VisibilityState,
} from "@tanstack/react-table";
import { useVirtualizer } from "@tanstack/react-virtual";
import { ArrowDown, ArrowUp, Columns3 } from "lucide-react";
import { useDeferredValue, useMemo, useRef, useState } from "react";
import { useSearchParams } from "react-router";
import { type FieldRole, isDerived } from "../../core/catalogue/field.ts";
import { countsOf } from "../../core/engine/engine.ts";
import type { Selection } from "../../core/engine/question.ts";
import { emptySelection, isEmpty } from "../../core/engine/selection.ts";
import type { VariantQuery } from "../../core/engine/variants.ts";
import { CatalogueFrame } from "../catalogue/catalogue-frame.tsx";
import { FacetFilter, tableFacet } from "../controls/facet-filter.tsx";
import { FindField } from "../controls/find-field.tsx";
import { Popover } from "../shell/popover.tsx";
import { useAnswer, useAsked, useOpenShop } from "../shell/shop-context.ts";
import { ProductCell } from "./product-cell.tsx";
import { SetValues } from "./set-values.tsx";
import { cellName, useGridKeys } from "./use-grid-keys.ts";
import { useRows } from "./use-rows.ts";

const rowHeight = 34;
const columnWidth = 150;
const shownAtFirst: readonly FieldRole[] = ["title", "sku", "category", "brand", "price", "stock"];

/** Every variant in a virtualized table: filtered, sorted, and edited in place. */
export function ProductsView() {
  const { profiles, profileOf, variants, desk } = useOpenShop();
  const [selection, setSelection] = useState<Selection>(emptySelection);
  const [open, setOpen] = useState<string[]>([]);
  const [sorting, setSorting] = useState<SortingState>([]);
  const [visible, setVisible] = useState<VisibilityState>(() =>
    Object.fromEntries(profiles.map(({ field: { key, role } }) => [key, shownAtFirst.includes(role)])),
  );
  const asked = useDeferredValue(selection);
  const facets = [...new Set([...open, ...Object.keys(asked.choices)])].flatMap((key) => {
    const profile = profileOf(key);
    return profile ? [tableFacet(profile)] : [];
  });
  const [by] = sorting;
  const [address, setAddress] = useSearchParams();
  const only = address.get("product");
  const query: VariantQuery = {
    facets,
    selection: asked,
    ...(only === null ? {} : { only: [only] }),
    ...(by ? { sort: { field: by.id, down: by.desc } } : {}),
  };
  const answer = useAnswer(countsOf(facets, asked));
  const found = useAsked(() => desk.count(query), JSON.stringify(query));

  const columns = useMemo(
    () =>
      // A product's title comes first in its row.
      profiles
        .map(({ field }) => field)
        .toSorted((a, b) => Number(b.role === "title") - Number(a.role === "title"))
        .map(({ key, name }): ColumnDef<never> => ({ id: key, header: name, accessorFn: () => undefined })),
    [profiles],
  );
  const table = useReactTable({
    data: noRows,
    columns,
    state: { sorting, columnVisibility: visible },
    manualSorting: true,
    onSortingChange: setSorting,
    onColumnVisibilityChange: setVisible,
    getCoreRowModel: getCoreRowModel(),
  });
  const shown = table.getVisibleLeafColumns();
  const rowAt = useRows(
    query,
    shown.map(({ id }) => id),
  );

  const box = useRef<HTMLDivElement>(null);
  const count = found?.variants ?? 0;
  const virtual = useVirtualizer({
    count,
    getScrollElement: () => box.current,
    estimateSize: () => rowHeight,
    overscan: 12,
  });
  const rows = virtual.getVirtualItems();
  const keys = useGridKeys({ rows: count, columns: shown.length, show: (row) => virtual.scrollToIndex(row) });
  // Where the last cell is out of sight, Tab comes to the first that is drawn.
  const stop = rows.some(({ index: at }) => at === keys.at.row) ? keys.at : { row: rows[0]?.index ?? 0, column: 0 };
  const grid = {
    display: "grid",
    gridTemplateColumns: shown
      .map((_, i) => (i === 0 ? "minmax(200px, 1.4fr)" : `minmax(${columnWidth}px, 1fr)`))
      .join(" "),
    minWidth: shown.length * columnWidth,
  };

  return (
    <CatalogueFrame>
      <div className="mb-3 flex flex-wrap items-center gap-3">
        <FindField
          label="Search the products"
          value={selection.text}
          set={(text) => setSelection({ ...selection, text })}
          className="input-sm w-56"
        />
        <span role="status" className="text-quiet tabular-nums">
          {count.toLocaleString("en")} of {variants.toLocaleString("en")} variants
        </span>
        {isEmpty(selection) && only === null ? null : (
          <button
            type="button"
            className="link text-[13px]"
            onClick={() => {
              setSelection(emptySelection);
              setAddress({});
            }}
          >
            {only === null ? "Clear" : "Show all products"}
          </button>
        )}
        <span className="ms-auto text-[12px] text-quiet">Double-click a cell, or press Enter, to edit it</span>
        <SetValues query={query} products={found?.products ?? 0} />
        <Popover
          label="Columns"
          placement="bottom-end"
          className="w-60 p-2"
          trigger={(props) => (
            <button type="button" {...props} className="btn btn-sm">
              <Columns3 size={15} aria-hidden /> Columns
            </button>
          )}
        >
          {() =>
            table.getAllLeafColumns().map((column) => (
              <label
                key={column.id}
                className="flex cursor-pointer items-center gap-2 rounded-lg px-2 py-1 hover:bg-sand"
              >
                <input
                  type="checkbox"
                  className="checkbox checkbox-sm"
                  checked={column.getIsVisible()}
                  onChange={column.getToggleVisibilityHandler()}
                />
                {String(column.columnDef.header)}
              </label>
            ))
          }
        </Popover>
      </div>
      <div className="flex min-h-0 flex-1 gap-3">
        <FacetFilter open={open} setOpen={setOpen} answer={answer} selection={selection} select={setSelection} />
        <div
          ref={box}
          // biome-ignore lint/a11y/noNoninteractiveTabindex: a table that scrolls must be reachable by the keyboard
          tabIndex={0}
          role="region"
          aria-label="Products"
          className="min-h-0 min-w-0 flex-1 overflow-auto rounded-box border border-hair"
        >
          <table
            // biome-ignore lint/a11y/noNoninteractiveElementToInteractiveRole: a table whose cells arrow keys lead through is a grid
            role="grid"
            aria-label="Variants"
            className="w-full text-[13px]"
            style={{ display: "grid" }}
            aria-rowcount={count + 1}
            onKeyDown={keys.onKeyDown}
          >
            <thead className="sticky top-0 z-10 grid bg-sand">
              <tr style={grid}>
                {shown.map((column) => (
                  <Heading key={column.id} column={column} />
                ))}
              </tr>
            </thead>
            <tbody className="relative grid" style={{ height: virtual.getTotalSize() }}>
              {rows.map(({ index: at, start }) => {
                const row = rowAt(at);
                return (
                  <tr
                    key={at}
                    aria-rowindex={at + 2}
                    className="absolute w-full focus-within:z-10 border-b border-hair/60 hover:bg-sand/50"
                    style={{ ...grid, height: rowHeight, transform: `translateY(${start}px)` }}
                  >
                    {shown.map(({ id }, place) => {
                      const field = profileOf(id)?.field;
                      const cell = { row: at, column: place };
                      const own = {
                        "data-cell": cellName(cell),
                        tabIndex: stop.row === at && stop.column === place ? 0 : -1,
                        onFocus: () => keys.setAt(cell),
                      };
                      return field && row && !isDerived(field) && field.role !== "product_id" ? (
                        <ProductCell key={id} field={field} row={row} values={row.cells[place] ?? []} own={own} />
                      ) : (
                        <td
                          key={id}
                          // A row that is still loading can't take the focus: what it has would be replaced.
                          {...(row ? own : {})}
                          className="truncate px-3 py-1.5 focus-visible:-outline-offset-2"
                        >
                          {row?.cells[place]?.join(", ")}
                        </td>
                      );
                    })}
                  </tr>
                );
              })}
            </tbody>
          </table>
        </div>
      </div>
    </CatalogueFrame>
  );
}

/** Rows live in the worker; the table only knows the columns. */
const noRows: never[] = [];

function Heading({ column }: { column: Column<never> }) {
  const sorted = column.getIsSorted();
  return (
    <th
      aria-sort={sorted === "asc" ? "ascending" : sorted === "desc" ? "descending" : "none"}
      className="px-1 py-1 text-start"
    >
      <button
        type="button"
        className="flex min-h-7 w-full items-center gap-1 rounded-md px-2 font-semibold hover:bg-base-100"
        onClick={column.getToggleSortingHandler()}
      >
        <span className="truncate">{String(column.columnDef.header)}</span>
        {sorted === "asc" ? (
          <ArrowUp size={13} aria-hidden />
        ) : sorted === "desc" ? (
          <ArrowDown size={13} aria-hidden />
        ) : null}
      </button>
    </th>
  );
}
