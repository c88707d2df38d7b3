import { useVirtualizer } from "@tanstack/react-virtual";
import { LayoutTemplate } from "lucide-react";
import { useCallback, useMemo, useRef, useState } from "react";
import { Link } from "react-router";
import { matchesWords, words } from "../../core/engine/index/words.ts";
import type { Scope } from "../../core/page/edit.ts";
import type { PanelDocument } from "../../core/panel/panel-schema.ts";
import { FindField } from "../controls/find-field.tsx";
import { Explained } from "../shell/explained.tsx";
import { pageName } from "../shell/page-names.ts";
import { useAllPages, useOpenShop, usePages } from "../shell/shop-context.ts";
import { PageDetail } from "./page-detail.tsx";
import { PageRow } from "./page-row.tsx";
import { rowKey, type TableRow, tableRows } from "./table-rows.ts";
import { useFigures } from "./use-figures.ts";

const rowHeight = 40;
const panelWidth = 104;
/** The figures of a page, with explanations. */
const numbers: readonly (readonly [name: string, meaning?: string])[] = [
  ["Products"],
  ["Facets shown", "Facets with at least one option that matches a product of the page, of all facets on it."],
  [
    "Lowest reach",
    "Reach: the share of the page’s products that a facet’s options can find. This is the lowest of its facets.",
  ],
  ["Left out", "Options that these facets offer elsewhere in the shop, but not on this page."],
  ["Worst shift", "How far the worst step of any row moves the page. Shoppers notice values above 0.1."],
  ["Findings"],
];

interface Props {
  panels: ReadonlyMap<string, PanelDocument>;
  /** The page or kind with its layout open at the side. */
  open: Scope | undefined;
  openLayout(scope: Scope | undefined): void;
}

/** Pages as rows, panels as columns, then each page's figures. Virtualized. */
export function PageTable({ panels, open, openLayout }: Props) {
  const { shop } = useOpenShop();
  const list = useAllPages();
  const bare = usePages(({ collections }) => collections.length === 0);
  const { figures, done } = useFigures(list, panels);
  const [asked, setAsked] = useState("");
  const [unfolded, setUnfolded] = useState<ReadonlySet<string>>(new Set());
  const rows = useMemo(() => {
    const query = words(asked);
    return tableRows(list, (page) => matchesWords(`${pageName(page)} ${page.address}`, query), unfolded);
  }, [list, asked, unfolded]);
  const box = useRef<HTMLDivElement>(null);
  const virtual = useVirtualizer({
    count: rows.length,
    getScrollElement: () => box.current,
    estimateSize: (at) => (rows[at]?.is === "detail" ? 240 : rowHeight),
    getItemKey: (at) => (rows[at] ? rowKey(rows[at]) : at),
    overscan: 10,
  });
  const columns = useMemo(
    () => ({
      gridTemplateColumns: `minmax(230px, 1.6fr) repeat(${panels.size}, ${panelWidth}px) 72px 84px 72px 60px 72px 68px 40px`,
    }),
    [panels.size],
  );
  const fold = useCallback(
    (address: string) =>
      setUnfolded((now) => {
        const next = new Set(now);
        if (!next.delete(address)) next.add(address);
        return next;
      }),
    [],
  );
  return (
    <section aria-label="Table of pages" className="flex min-h-0 min-w-0 flex-1 flex-col">
      <div className="mb-2 flex flex-wrap items-center gap-3">
        <FindField label="Find a page" value={asked} set={setAsked} className="input-sm w-56" />
        <span role="status" className="text-quiet tabular-nums">
          {list.length.toLocaleString("en")} pages
          {done < list.length ? `, ${done.toLocaleString("en")} counted` : ""}
          {rows.length === 0 ? "; no page has that name" : ""}
        </span>
        <button
          type="button"
          className="btn btn-sm ms-auto"
          aria-pressed={open !== undefined && "everywhere" in open}
          onClick={() => openLayout(open !== undefined && "everywhere" in open ? undefined : { everywhere: true })}
        >
          <LayoutTemplate size={15} aria-hidden /> Layout of all pages
        </button>
        {bare ? (
          <Link to={`/shops/${shop.slug}/pages/collections`} className="text-[13px] underline">
            Create pages of your own: collections
          </Link>
        ) : null}
      </div>
      <div
        ref={box}
        role="table"
        aria-label="Pages"
        aria-rowcount={rows.length + 1}
        // biome-ignore lint/a11y/noNoninteractiveTabindex: a box that scrolls must be reached by the keyboard
        tabIndex={0}
        className="min-h-0 flex-1 overflow-auto rounded-box border border-hair"
      >
        <div className="text-[13px] tabular-nums" style={{ minWidth: 730 + panels.size * panelWidth }}>
          <div role="rowgroup" className="sticky top-0 z-10">
            <div
              role="row"
              tabIndex={-1}
              className="grid items-end gap-x-1 border-b border-hair bg-base-100 px-2 py-1.5 text-quiet"
              style={columns}
            >
              <span role="columnheader" tabIndex={-1}>
                Page
              </span>
              {[...panels].map(([slug, { name }]) => (
                <span key={slug} role="columnheader" tabIndex={-1} className="line-clamp-2 leading-tight" title={name}>
                  {name}
                </span>
              ))}
              {numbers.map(([name, meaning]) => (
                <span key={name} role="columnheader" tabIndex={-1} className="text-end leading-tight">
                  {meaning === undefined ? name : <Explained by={meaning}>{name}</Explained>}
                </span>
              ))}
              <span role="columnheader" tabIndex={-1}>
                <span className="sr-only">Layout</span>
              </span>
            </div>
          </div>
          <div role="rowgroup" className="relative" style={{ height: virtual.getTotalSize() }}>
            {virtual.getVirtualItems().map(({ key, index, start }) => {
              const row = rows[index];
              return row ? (
                <div
                  key={key}
                  // Rows have a fixed height; only opened details are measured.
                  ref={row.is === "detail" ? virtual.measureElement : undefined}
                  data-index={index}
                  role="presentation"
                  className="absolute inset-x-0 top-0"
                  style={{ transform: `translateY(${start}px)` }}
                >
                  {row.is === "detail" ? (
                    <PageDetail figures={figures.get(row.page.address)} panels={panels} />
                  ) : (
                    <PageRow
                      row={row}
                      panels={panels}
                      columns={columns}
                      figures={row.is === "page" ? figures.get(row.page.address) : undefined}
                      unfolded={row.is === "page" && unfolded.has(row.page.address)}
                      fold={fold}
                      isOpen={isSameScope(open, row)}
                      openLayout={openLayout}
                    />
                  )}
                </div>
              ) : null;
            })}
          </div>
        </div>
      </div>
    </section>
  );
}

const isSameScope = (open: Scope | undefined, row: TableRow): boolean => {
  if (!open || "everywhere" in open) return false;
  return "kind" in open
    ? row.is === "kind" && row.kind === open.kind
    : row.is === "page" && row.page.address === open.address;
};
