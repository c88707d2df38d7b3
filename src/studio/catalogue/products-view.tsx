import {
  type Column,
  type ColumnDef,
  flexRender,
  getCoreRowModel,
  type SortingState,
  useReactTable,
  type VisibilityState,
} from "@tanstack/react-table";
import { useVirtualizer } from "@tanstack/react-virtual";
import { ArrowDown, ArrowUp, Columns3 } from "lucide-react";
import { useDeferredValue, useMemo, useRef, useState } from "react";
import { valuesOf } from "../../core/catalogue/catalogue.ts";
import type { FieldRole } from "../../core/catalogue/field.ts";
import { orderVariants } from "../../core/catalogue/variant-order.ts";
import { has } from "../../core/index/bitmap.ts";
import type { CatalogueIndex } from "../../core/index/catalogue-index.ts";
import { Popover } from "../shell/popover.tsx";
import { useOpenShop } from "../shell/shop-context.ts";
import { CatalogueFrame } from "./catalogue-frame.tsx";

const rowHeight = 34;
const columnWidth = 170;
const shownAtFirst: readonly FieldRole[] = ["title", "sku", "category", "brand", "price", "stock"];

/** Every variant in a table that draws only what is in sight; sorted by any field, searched by words. */
export function ProductsView() {
  const { index } = useOpenShop();
  const { catalogue } = index;
  const [asked, setAsked] = useState("");
  const [sorting, setSorting] = useState<SortingState>([]);
  const [visible, setVisible] = useState<VisibilityState>(() =>
    Object.fromEntries(catalogue.fields.map(({ key, role }) => [key, shownAtFirst.includes(role)])),
  );
  const query = useDeferredValue(asked);
  const found = useMemo(() => search(index, query), [index, query]);
  const data = useMemo(() => {
    const [by] = sorting;
    return Array.from(by ? orderVariants(catalogue, by.id, found, by.desc) : found);
  }, [catalogue, found, sorting]);
  const columns = useMemo(
    () =>
      // What a product is called reads best at the start of its row.
      catalogue.fields
        .toSorted((a, b) => Number(b.role === "title") - Number(a.role === "title"))
        .map(
          ({ key, name }): ColumnDef<number> => ({ id: key, header: name, accessorFn: (variant) => valuesOf(catalogue, key, variant).join(", ") }),
        ),
    [catalogue],
  );
  const table = useReactTable({
    data,
    columns,
    state: { sorting, columnVisibility: visible },
    manualSorting: true,
    onSortingChange: setSorting,
    onColumnVisibilityChange: setVisible,
    getCoreRowModel: getCoreRowModel(),
  });

  const box = useRef<HTMLDivElement>(null);
  const rows = table.getRowModel().rows;
  const virtual = useVirtualizer({ count: rows.length, getScrollElement: () => box.current, estimateSize: () => rowHeight, overscan: 12 });
  const shown = table.getVisibleLeafColumns();
  const grid = {
    display: "grid",
    gridTemplateColumns: shown.map((_, i) => (i === 0 ? "minmax(220px, 1.4fr)" : `minmax(${columnWidth}px, 1fr)`)).join(" "),
    minWidth: shown.length * columnWidth,
  };

  return (
    <CatalogueFrame>
      <div className="mb-3 flex items-center gap-3">
        <input
          type="search"
          className="input input-sm w-80"
          placeholder="Search the products"
          aria-label="Search the products"
          value={asked}
          onChange={(event) => setAsked(event.target.value)}
        />
        <span role="status" className="text-quiet tabular-nums">
          {rows.length.toLocaleString("en")} of {index.variants.toLocaleString("en")} variants
        </span>
        <Popover
          label="Columns"
          placement="bottom-end"
          className="w-60 p-2"
          trigger={(props) => (
            <button type="button" {...props} className="btn btn-sm ms-auto">
              <Columns3 size={15} aria-hidden /> Columns
            </button>
          )}
        >
          {() =>
            table.getAllLeafColumns().map((column) => (
              <label key={column.id} className="flex cursor-pointer items-center gap-2 rounded-lg px-2 py-1 hover:bg-sand">
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
      {/* biome-ignore lint/a11y/noNoninteractiveTabindex: a table that scrolls must be reachable by the keyboard */}
      <div ref={box} tabIndex={0} role="region" aria-label="Products" className="min-h-0 flex-1 overflow-auto rounded-box border border-hair">
        <table className="w-full text-[13px]" style={{ display: "grid" }} aria-rowcount={rows.length + 1}>
          <thead className="sticky top-0 z-10 grid bg-sand">
            <tr style={grid}>
              {shown.map((column) => (
                <Heading key={column.id} column={column} />
              ))}
            </tr>
          </thead>
          <tbody className="relative grid" style={{ height: virtual.getTotalSize() }}>
            {virtual.getVirtualItems().map(({ index: at, start }) => (
              <tr
                key={at}
                aria-rowindex={at + 2}
                className="absolute w-full border-b border-hair/60 hover:bg-sand/50"
                style={{ ...grid, height: rowHeight, transform: `translateY(${start}px)` }}
              >
                {rows[at].getVisibleCells().map((cell) => (
                  <td key={cell.id} className="truncate px-3 py-1.5">
                    {flexRender(cell.column.columnDef.cell, cell.getContext())}
                  </td>
                ))}
              </tr>
            ))}
          </tbody>
        </table>
      </div>
    </CatalogueFrame>
  );
}

function Heading({ column }: { column: Column<number> }) {
  const sorted = column.getIsSorted();
  return (
    <th aria-sort={sorted === "asc" ? "ascending" : sorted === "desc" ? "descending" : "none"} className="px-1 py-1 text-start">
      <button
        type="button"
        className="flex min-h-7 w-full items-center gap-1 rounded-md px-2 font-semibold hover:bg-base-100"
        onClick={column.getToggleSortingHandler()}
      >
        <span className="truncate">{String(column.columnDef.header)}</span>
        {sorted === "asc" ? <ArrowUp size={13} aria-hidden /> : sorted === "desc" ? <ArrowDown size={13} aria-hidden /> : null}
      </button>
    </th>
  );
}

/** Variants of the products that have the words. */
function search(index: CatalogueIndex, query: string): Uint32Array {
  const found = index.text.search(query);
  const all = Uint32Array.from({ length: index.variants }, (_, variant) => variant);
  return found ? all.filter((variant) => has(found, index.productOf[variant])) : all;
}
