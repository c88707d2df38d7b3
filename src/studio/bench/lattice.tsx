import { PanelLeftClose, PanelLeftOpen } from "lucide-react";
import { useMemo } from "react";
import { moveRow } from "../../core/panel/edit.ts";
import { rowTitle } from "../../core/panel/row-title.ts";
import { bandRange, bands } from "../../core/settings/band.ts";
import { FirstHint } from "../shell/first-hint.tsx";
import { useOpenShop, useShopSettings } from "../shell/shop-context.ts";
import { SortableList } from "../shell/sortable-list.tsx";
import { AddMenu } from "./add-menu.tsx";
import { useBench, usePanel, useSession } from "./bench-context.ts";
import { ChosenBar } from "./chosen-bar.tsx";
import { columns } from "./columns.ts";
import { LatticeRow } from "./lattice-row.tsx";
import { PlacementRow } from "./placement-row.tsx";

/** The panel as a table of rows and bands. */
export function Lattice() {
  const { products, fieldOf } = useOpenShop();
  const { panel: store, session } = useBench();
  const panel = usePanel((state) => state.document);
  const limits = useShopSettings((settings) => settings.limits);
  const pointed = useSession((state) => state.pointed);
  const folded = useSession((state) => state.folded);
  const outOf = useSession((state) => state.answer?.outOf) ?? products;
  const titleOf = (id: string) => {
    const row = panel.rows.find((one) => one.id === id);
    return row ? rowTitle(row, fieldOf) : id;
  };
  // The same list while it has the same content, since every row depends on it.
  const order = panel.rows.map(({ id }) => id).join(" ");
  const ids = useMemo(() => (order === "" ? [] : order.split(" ")), [order]);
  const move = (id: string, onto: string) =>
    store.getState().apply(
      moveRow(
        id,
        panel.rows.findIndex((row) => row.id === onto),
        titleOf(id),
      ),
    );

  return (
    <>
      <div className={`${columns} flex-none border-b border-hair py-1.5`}>
        <span className="col-span-2 flex items-center ps-3.5 text-[13px] text-quiet">
          <button
            type="button"
            className="me-1.5 grid size-6 place-items-center rounded-md hover:bg-sand hover:text-base-content"
            aria-label={folded ? "Show all widths" : "Show names only"}
            aria-pressed={folded}
            title={folded ? "Show all widths (0)" : "Show names only (0)"}
            onClick={() => session.setState({ folded: !folded })}
          >
            {folded ? <PanelLeftOpen size={15} aria-hidden /> : <PanelLeftClose size={15} aria-hidden />}
          </button>
          {outOf.toLocaleString("en")} products
        </span>
        {bands.map((band) => (
          <span key={band} className="band-cell text-center leading-tight">
            <b className="block text-[13px] font-semibold capitalize">{band}</b>
            <span className="text-[13px] text-quiet tabular-nums">{bandRange(band, limits)}</span>
          </span>
        ))}
      </div>
      <div className="min-h-0 flex-1 overflow-y-auto" onPointerLeave={() => session.setState({ marked: undefined })}>
        <FirstHint name="cell" className="mx-3 my-2" />
        <PlacementRow />
        {panel.rows.length === 0 ? (
          <div className="px-6 py-10 text-center text-quiet">
            <p className="mb-1 font-display text-lg font-semibold text-base-content">This panel is empty</p>
            <p>
              Rows are filters, columns are page widths. Click a cell to choose how a filter looks at that width. Add
              the first filter below; the most useful fields come first.
            </p>
          </div>
        ) : null}
        <SortableList ids={ids} titleOf={titleOf} move={move}>
          <ol aria-label="Rows of the panel">
            {panel.rows.map((row) => (
              <LatticeRow key={row.id} row={row} pointed={pointed === row.id} />
            ))}
          </ol>
        </SortableList>
      </div>
      <ChosenBar />
      <footer className="flex flex-none items-center gap-3 border-t border-hair px-3.5 py-2">
        <AddMenu />
        <kbd className="band-cell kbd kbd-sm ms-auto">Ctrl K</kbd>
      </footer>
    </>
  );
}
