import { closestCenter, DndContext, type DragEndEvent, KeyboardSensor, PointerSensor, useSensor, useSensors } from "@dnd-kit/core";
import { SortableContext, sortableKeyboardCoordinates, verticalListSortingStrategy } from "@dnd-kit/sortable";
import { useMemo } from "react";
import { bandRange, bands } from "../../core/panel/bands.ts";
import { moveRow } from "../../core/panel/edit.ts";
import { useOpenShop } from "../shell/shop-context.ts";
import { AddMenu } from "./add-menu.tsx";
import { announcementsFor } from "./announcements.ts";
import { useBench, usePanel, useSession } from "./bench-context.ts";
import { ChosenBar } from "./chosen-bar.tsx";
import { LatticeRow } from "./lattice-row.tsx";
import { PlacementRow } from "./placement-row.tsx";
import { rowTitle } from "./row-title.ts";
import { restrictToVerticalAxis } from "./vertical.ts";

/** The columns: the row's words, then a cell a band. */
export const columns = "grid grid-cols-[26px_minmax(0,1fr)_repeat(3,72px)] gap-x-1.5 items-center pe-3";

/** The panel as a table: its rows against the bands. */
export function Lattice() {
  const { products, fieldOf } = useOpenShop();
  const { panel: store, session } = useBench();
  const panel = usePanel((state) => state.document);
  const pointed = useSession((state) => state.pointed);
  const sensors = useSensors(
    useSensor(PointerSensor, { activationConstraint: { distance: 4 } }),
    useSensor(KeyboardSensor, { coordinateGetter: sortableKeyboardCoordinates }),
  );

  const titleOf = (id: string | number) => {
    const row = panel.rows.find((one) => one.id === id);
    return row ? rowTitle(row, fieldOf) : String(id);
  };
  // The same list as long as it says the same, since every row hangs on it.
  const order = panel.rows.map(({ id }) => id).join(" ");
  const ids = useMemo(() => (order === "" ? [] : order.split(" ")), [order]);
  const announcements = announcementsFor(ids, titleOf);
  const drop = ({ active, over }: DragEndEvent) => {
    const row = panel.rows.find(({ id }) => id === active.id);
    const to = panel.rows.findIndex(({ id }) => id === over?.id);
    if (row && to >= 0 && active.id !== over?.id) store.getState().apply(moveRow(row.id, to, rowTitle(row, fieldOf)));
  };

  return (
    <>
      <div className={`${columns} flex-none border-b border-hair py-1.5`}>
        <span className="col-span-2 ps-4 text-[13px] text-quiet">{products.toLocaleString("en")} products</span>
        {bands.map((band) => (
          <span key={band} className="text-center leading-tight">
            <b className="block text-[13px] font-semibold capitalize">{band}</b>
            <span className="text-[12px] text-quiet tabular-nums">{bandRange(band, panel.limits)}</span>
          </span>
        ))}
      </div>
      <div className="min-h-0 flex-1 overflow-y-auto" onPointerLeave={() => session.setState({ marked: undefined })}>
        <PlacementRow />
        {panel.rows.length === 0 ? (
          <div className="px-6 py-10 text-center text-quiet">
            <p className="mb-1 font-display text-lg font-semibold text-base-content">This panel is empty</p>
            <p>Add the first facet below. Those that most products state stand first in the list.</p>
          </div>
        ) : null}
        <DndContext
          accessibility={{ announcements }}
          sensors={sensors}
          collisionDetection={closestCenter}
          modifiers={[restrictToVerticalAxis]}
          onDragEnd={drop}
        >
          <SortableContext items={ids} strategy={verticalListSortingStrategy}>
            <ol aria-label="Rows of the panel">
              {panel.rows.map((row) => (
                <LatticeRow key={row.id} row={row} pointed={pointed === row.id} />
              ))}
            </ol>
          </SortableContext>
        </DndContext>
      </div>
      <ChosenBar />
      <footer className="flex flex-none items-center gap-3 border-t border-hair px-3.5 py-2">
        <AddMenu />
        <kbd className="kbd kbd-sm ms-auto">Ctrl K</kbd>
      </footer>
    </>
  );
}
