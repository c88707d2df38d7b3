import { useState } from "preact/hooks";
import type { Row } from "../../../core/panel/panel-schema.ts";
import type { PagePanel } from "../../page/page-panel.ts";
import { partsAt } from "../../panel/part-at.ts";
import type { ArrangeAct } from "./act.ts";
import { dragged } from "./drag.ts";
import { dropPlace, nearestShare, type RowBox } from "./geometry.ts";
import { TitleField } from "./title-field.tsx";

interface Props {
  box: RowBox;
  /** Of all rows of the panel, in order. */
  boxes: readonly RowBox[];
  row: Row;
  /** Its place in the panel. */
  at: number;
  name: string;
  display: string;
  /** The other panels of the page. */
  others: readonly PagePanel[];
  tell(act: ArrangeAct): void;
}

/** Over one row: a handle to move it, its name and display, ways to its settings and out, an edge to drag, and a gap to add at. */
export function RowFrame({ box, boxes, row, at, name, display, others, tell }: Props) {
  const [line, setLine] = useState<number | undefined>(undefined);
  const [width, setWidth] = useState<number | undefined>(undefined);
  const [writing, setWriting] = useState(false);
  const { id } = row;
  const move = (to: number) => tell({ do: "move", row: id, to });
  const target = (x: number, y: number) => dropPlace(boxes, x, y);
  const handle = dragged({
    move: ({ pageX, pageY }) => setLine(target(pageX, pageY)),
    drop({ pageX, pageY, clientX, clientY }) {
      setLine(undefined);
      const over = document.elementsFromPoint(clientX, clientY).find((one) => one.matches("[data-panel]"));
      const panel = over instanceof HTMLElement ? over.dataset.panel : undefined;
      if (panel !== undefined && others.some(({ slug }) => slug === panel))
        return tell({ do: "carry", row: id, panel });
      const to = target(pageX, pageY);
      move(to > at ? to - 1 : to);
    },
    cancel: () => setLine(undefined),
  });
  const edge = dragged({
    move: ({ pageX }) => setWidth(Math.max(40, pageX - box.left)),
    drop({ pageX }) {
      setWidth(undefined);
      tell({ do: "share", row: id, share: nearestShare(pageX - box.left, panelWidth(boxes)) });
    },
    cancel: () => setWidth(undefined),
  });
  const place = { left: box.left, top: box.top, width: width ?? box.right - box.left, height: box.bottom - box.top };
  const drawn = line === undefined ? undefined : (boxes[line]?.top ?? boxes.at(-1)?.bottom);
  return (
    <>
      {/* What is pointed at inside is styled; the button in the bar is the way by keyboard. */}
      {/* biome-ignore lint/a11y/noStaticElementInteractions: see above */}
      {/* biome-ignore lint/a11y/useKeyWithClickEvents: see above */}
      <div
        class="zt-arrange-row"
        style={px(place)}
        data-for={id}
        data-writing={writing || undefined}
        onClick={(event) => {
          if (event.target !== event.currentTarget || row.kind !== "facet") return;
          const { clientX: x, clientY: y } = event;
          const under = document.elementsFromPoint(x, y).filter((one) => one.closest(".zt-panel"));
          const { left, right } = event.currentTarget.getBoundingClientRect();
          tell({ do: "style", row: id, part: partsAt(under).find((part) => part !== "panel"), left, right, y });
        }}
      >
        <div class="zt-arrange-bar">
          <button
            type="button"
            class="zt-arrange-handle"
            aria-label={`Move ${name}`}
            title="Drag, or move with the arrow keys"
            {...handle}
            onKeyDown={(event) => {
              const to = { ArrowUp: at - 1, ArrowDown: at + 1 }[event.key];
              if (to !== undefined) move(to);
              else if (event.key === "Enter") tell({ do: "settings", row: id });
              else if (event.key === "Delete") tell({ do: "remove", row: id });
              else return;
              event.preventDefault();
            }}
          >
            ⠿
          </button>
          {row.kind === "piece" && row.piece === "text" ? (
            <TextButton row={row} name={name} tell={tell} writing={setWriting} />
          ) : (
            <TitleField name={name} save={(text) => tell({ do: "label", row: id, text })} />
          )}
          <small>{display}</small>
          <button
            type="button"
            aria-label={`Settings of ${name}`}
            title="Settings"
            onClick={() => tell({ do: "settings", row: id })}
          >
            ⚙
          </button>
          {row.kind === "facet" ? (
            <button
              type="button"
              aria-label={`Style of ${name}`}
              title="Style"
              onClick={(event) => {
                const frame = event.currentTarget.closest(".zt-arrange-row");
                const { left, right, top: y } = (frame ?? event.currentTarget).getBoundingClientRect();
                tell({ do: "style", row: id, part: undefined, left, right, y });
              }}
            >
              ◐
            </button>
          ) : null}
          <button
            type="button"
            aria-label={`Remove ${name}`}
            title="Remove"
            onClick={() => tell({ do: "remove", row: id })}
          >
            ×
          </button>
        </div>
        {row.kind === "facet" ? (
          <button
            type="button"
            class="zt-arrange-edge"
            aria-label={`Width of ${name}`}
            title="Drag to a quarter, a third, a half or the whole"
            {...edge}
            onKeyDown={(event) => {
              const steps = ["quarter", "third", "half", "full"] as const;
              const now = steps.indexOf(nearestShare(box.right - box.left, panelWidth(boxes)));
              const next = { ArrowLeft: steps[now - 1], ArrowRight: steps[now + 1] }[event.key];
              if (!next) return;
              event.preventDefault();
              tell({ do: "share", row: id, share: next });
            }}
          />
        ) : null}
        <button
          type="button"
          class="zt-arrange-gap"
          aria-label={`Add above ${name}`}
          title="Add a facet or a piece here"
          onClick={() => tell({ do: "add", at })}
        >
          +
        </button>
      </div>
      {drawn === undefined ? null : (
        <div
          class="zt-arrange-line"
          style={px({ left: box.left, top: drawn - 1, width: box.right - box.left, height: 3 })}
        />
      )}
    </>
  );
}

/** Lets a text be written where it stands. */
function TextButton({
  row: { id },
  name,
  tell,
  writing,
}: Pick<Props, "row" | "name" | "tell"> & { writing(on: boolean): void }) {
  return (
    <button
      type="button"
      class="zt-arrange-title"
      aria-label={`Write ${name}`}
      onClick={() => {
        const text = document.querySelector<HTMLElement>(`[data-row="${CSS.escape(id)}"] .zt-text`);
        if (!text) return;
        text.contentEditable = "true";
        writing(true);
        text.focus();
        text.addEventListener(
          "blur",
          () => {
            text.contentEditable = "false";
            writing(false);
            tell({ do: "html", row: id, html: text.innerHTML });
          },
          { once: true },
        );
      }}
    >
      Write
    </button>
  );
}

const panelWidth = (boxes: readonly RowBox[]): number =>
  Math.max(...boxes.map(({ right }) => right)) - Math.min(...boxes.map(({ left }) => left));

const px = (place: Record<string, number>): Record<string, string> =>
  Object.fromEntries(Object.entries(place).map(([key, value]) => [key, `${value}px`]));
