import { useState } from "react";
import { isFacet } from "../../../core/panel/panel.ts";
import type { Row } from "../../../core/panel/panel-schema.ts";
import { rowTitle } from "../../../core/panel/row-title.ts";
import { type Band, isOwn } from "../../../core/settings/band.ts";
import type { Area, ArrangeAct, Standing } from "../../../storefront/stage/arrange/act.ts";
import { useOpenShop } from "../../shell/shop-context.ts";
import { usePanel, useSession } from "../bench-context.ts";
import { dropPlace, headHeight, headPlaces, isIn } from "./geometry.ts";
import { PanelHead } from "./panel-head.tsx";
import { RowHead } from "./row-head.tsx";
import { WidthLine } from "./width-line.tsx";

interface Props {
  standing: Standing;
  band: Band;
  /** Width of the rail; a narrow one has no space for names. */
  width: number;
  narrow: boolean;
  /** The page within the frame: its scale, horizontal scroll, and size in the window. */
  scale: number;
  scrolled: number;
  frame: { width: number; height: number };
  act(act: ArrangeAct): void;
  openGap(at: number | undefined): void;
  write(row: string): void;
}

/** The dragged element, with all positions at the start. */
interface Dragged {
  row: string | undefined;
  standing: Standing;
  over: Area | undefined;
}

/**
 * The heads of the panel's rows beside a page, each connected to its facet by a hairline, so that nothing on the page
 * is covered: to move, rename, add between, and set widths.
 */
export function Rail({ standing, band, width, narrow, scale, scrolled, frame, act, openGap, write }: Props) {
  const rows = usePanel((state) => state.document.rows);
  const pointed = useSession((state) => state.pointed);
  const { fieldOf } = useOpenShop();
  const [active, setActive] = useState<string | undefined>(undefined);
  const [dragged, setDragged] = useState<Dragged | undefined>(undefined);
  const boxes = new Map(standing.rows.map((box) => [box.id, box]));
  const shown = rows.filter(({ id }) => isShown(boxes.get(id), scale, frame.height));
  const tops = shown.map(({ id }) => {
    const box = boxes.get(id);
    return box && box.top * scale;
  });
  const places = headPlaces(tops, headHeight, headHeight + 6);
  /** Converts a position in the window to one on the page. */
  const onPage = (rail: Element | null, { clientX, clientY }: { clientX: number; clientY: number }) => {
    const box = rail?.getBoundingClientRect();
    return {
      x: (clientX - (box?.right ?? 0) + scrolled) / scale,
      y: (clientY - (box?.top ?? 0)) / scale,
    };
  };
  const railOf = (event: Event) => (event.currentTarget as Element).closest("[data-rail]");
  const still = dragged?.standing ?? standing;
  const lit = active ?? (pointed !== undefined && rows.some(({ id }) => id === pointed) ? pointed : undefined);
  const litRow = rows.find(({ id }) => id === lit);
  const litBox = lit === undefined ? undefined : boxes.get(lit);
  return (
    <div data-rail className="relative flex-none" style={{ width, height: frame.height }}>
      <PanelHead
        narrow={narrow}
        band={band}
        put={(placement) => act({ do: "place", placement })}
        slotAt={(event) => {
          const { x, y } = onPage(railOf(event), event);
          const slot = still.slots.find((area) => isIn(area, x, y));
          setDragged({ row: undefined, standing: still, over: slot });
          return slot?.slot;
        }}
        done={() => setDragged(undefined)}
      />
      <ul aria-label={`Row heads on ${band}`}>
        {shown.map((row, n) => {
          const at = rows.indexOf(row);
          const title = rowTitle(row, fieldOf);
          const target = (event: PointerEvent) => {
            const { x, y } = onPage(railOf(event), event);
            const other = still.panels.find((area) => isIn(area, x, y));
            return { other, to: dropPlace(inOrder(rows, still), x, y) };
          };
          return (
            <RowHead
              key={row.id}
              row={row}
              at={at}
              title={title}
              differs={differsOn(row, band)}
              narrow={narrow}
              top={places[n] ?? 0}
              isActive={row.id === lit}
              setActive={(on) => setActive(on ? row.id : undefined)}
              act={act}
              write={write}
              openGap={openGap}
              drag={{
                move(event) {
                  const { other, to } = target(event);
                  setDragged({ row: row.id, standing: still, over: other });
                  openGap(other ? undefined : to);
                },
                drop(event) {
                  const { other, to } = target(event);
                  setDragged(undefined);
                  openGap(undefined);
                  if (other) act({ do: "carry", row: row.id, panel: other.slug });
                  else act({ do: "move", row: row.id, to: to > at ? to - 1 : to });
                },
                cancel() {
                  setDragged(undefined);
                  openGap(undefined);
                },
              }}
            />
          );
        })}
      </ul>
      <svg
        className="pointer-events-none absolute top-0 z-10 overflow-hidden"
        style={{ left: width - 8, width: frame.width + 8, height: frame.height }}
        aria-hidden
      >
        {shown.map((row, n) => {
          const box = boxes.get(row.id);
          if (!box) return null;
          const y = (places[n] ?? 0) + headHeight / 2;
          return (
            <path
              key={row.id}
              d={hairline(y, 8 + box.left * scale - scrolled, box.top * scale, row.id === lit)}
              fill="none"
              stroke={row.id === lit ? "#b4561b" : "#b9a9bf"}
              strokeWidth={row.id === lit ? 1.5 : 1}
            />
          );
        })}
        {dragged?.over ? <Outline area={dragged.over} scale={scale} scrolled={scrolled - 8} /> : null}
        {dragged && dragged.row === undefined
          ? still.slots.map((slot) => (
              <Outline key={slot.slot} area={slot} scale={scale} scrolled={scrolled - 8} faint />
            ))
          : null}
      </svg>
      {litRow && litBox && isFacet(litRow) ? (
        <WidthLine
          title={rowTitle(litRow, fieldOf)}
          box={litBox}
          boxes={standing.rows}
          left={width - scrolled}
          scale={scale}
          frame={frame}
          setActive={(on) => setActive(on ? litRow.id : undefined)}
          set={(share) => act({ do: "share", row: litRow.id, share })}
        />
      ) : null}
    </div>
  );
}

/** Facets within this distance of the rail, in px, are connected by a straight line. */
const near = 60;

/**
 * The line from a head to its facet: straight if nothing is between them; otherwise only for the hovered row, along
 * the edge above its facet, so that it crosses no text.
 */
function hairline(y: number, x: number, top: number, isLit: boolean): string {
  if (x <= near) return `M0 ${y}H4L${Math.max(6, x - 5)} ${Math.max(2, top + 4)}H${Math.max(7, x)}`;
  return isLit ? `M0 ${y}H5V${top - 1}H${x}V${top + 4}` : `M0 ${y}H6`;
}

/** Rows scrolled out of the page's window have no head; those not laid out, as in a closed drawer, have. */
const isShown = (box: Area | undefined, scale: number, height: number): boolean =>
  !box || (box.bottom > 0 && box.top * scale < height - 8);

/** The boxes of rows in the panel's order. */
const inOrder = (rows: readonly Row[], { rows: boxes }: Standing) =>
  rows.flatMap(({ id }) => boxes.find((box) => box.id === id) ?? []);

/** Whether a row differs on a band from the wider one. */
const differsOn = (row: Row, band: Band): boolean =>
  band !== "wide" &&
  isFacet(row) &&
  (isOwn(row.display, band) ||
    Object.values(row.settings).some((value) => typeof value === "object" && value !== null && band in value));

function Outline({
  area,
  scale,
  scrolled,
  faint = false,
}: {
  area: Area;
  scale: number;
  scrolled: number;
  faint?: boolean;
}) {
  return (
    <rect
      x={area.left * scale - scrolled}
      y={area.top * scale}
      width={(area.right - area.left) * scale}
      height={Math.max(0, area.bottom - area.top) * scale}
      rx="4"
      fill={faint ? "none" : "#e8843c33"}
      stroke="#b4561b"
      strokeDasharray="5 4"
    />
  );
}
