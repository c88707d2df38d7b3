import { GripVertical } from "lucide-react";
import type { Row } from "../../../core/panel/panel-schema.ts";
import type { ArrangeAct } from "../../../storefront/stage/arrange/act.ts";
import { EntryMenu } from "../../shell/entry-menu.tsx";
import { type Drag, dragged } from "./drag.ts";
import { headHeight } from "./geometry.ts";
import { TitleField } from "./title-field.tsx";

interface Props {
  row: Row;
  /** Its place in the panel. */
  at: number;
  title: string;
  /** Something of it differs on this band. */
  differs: boolean;
  narrow: boolean;
  /** In CSS px, of the rail. */
  top: number;
  isActive: boolean;
  setActive(on: boolean): void;
  act(act: ArrangeAct): void;
  write(row: string): void;
  openGap(at: number | undefined): void;
  drag: Drag;
}

/** The head of a row in a rail: a drag handle, its name, a menu, and a gap above to add at. */
export function RowHead(props: Props) {
  const { row, at, title, differs, narrow, top, isActive, setActive, act, write, openGap, drag } = props;
  const { id } = row;
  const move = (to: number) => act({ do: "move", row: id, to });
  const isText = row.kind === "piece" && row.piece === "text";
  return (
    <li
      data-head={id}
      className={`absolute inset-x-0 z-20 flex items-center rounded-md text-[12px] ${isActive ? "bg-base-100 shadow-sm" : ""}`}
      style={{ top, height: headHeight - 2 }}
      onPointerEnter={() => setActive(true)}
      onPointerLeave={() => setActive(false)}
      onFocus={() => setActive(true)}
      onBlur={() => setActive(false)}
    >
      <button
        type="button"
        className="absolute inset-x-0 -top-1.5 z-10 h-2.5 rounded-sm opacity-0 hover:bg-secondary hover:opacity-100 focus-visible:opacity-100"
        aria-label={`Add above ${title}`}
        title="Add a facet or a piece here"
        onPointerEnter={() => openGap(at)}
        onPointerLeave={() => openGap(undefined)}
        onFocus={() => openGap(at)}
        onBlur={() => openGap(undefined)}
        onClick={() => act({ do: "add", at })}
      />
      <button
        type="button"
        className="grid h-full w-5 flex-none cursor-grab touch-none place-items-center rounded-sm text-quiet hover:bg-sand"
        aria-label={`Move ${title}`}
        title={narrow ? `${title}: drag, or move with the arrow keys` : "Drag, or move with the arrow keys"}
        {...dragged(drag)}
        onKeyDown={(event) => {
          const to = { ArrowUp: at - 1, ArrowDown: at + 1 }[event.key];
          if (to !== undefined) move(to);
          else if (event.key === "Enter") act({ do: "settings", row: id });
          else if (event.key === "Delete") act({ do: "remove", row: id });
          else return;
          event.preventDefault();
        }}
      >
        <GripVertical size={13} aria-hidden />
      </button>
      {narrow ? null : isText ? (
        <button
          type="button"
          className="min-w-0 flex-1 truncate px-1 text-start hover:underline"
          aria-label={`Write ${title}`}
          onClick={() => write(id)}
        >
          {title}
        </button>
      ) : (
        <TitleField name={title} save={(text) => act({ do: "label", row: id, text })} />
      )}
      {narrow && !isActive ? null : (
        <span className={narrow ? "absolute end-full z-20 rounded-md bg-base-100 shadow-sm" : "flex-none"}>
          <EntryMenu
            title={title}
            className="size-5"
            entries={() => [
              { label: "Settings", run: () => act({ do: "settings", row: id }) },
              ...(row.kind === "facet" ? [{ label: "Style", run: () => act(styleAct(id)) }] : []),
              ...(isText ? [{ label: "Write", run: () => write(id) }] : []),
              { label: "Remove", run: () => act({ do: "remove", row: id }) },
            ]}
          />
        </span>
      )}
      {differs ? (
        <span
          title="Differs on this band"
          className="absolute end-0 top-0 size-0 border-t-8 border-l-8 border-t-secondary border-l-transparent"
        />
      ) : null}
    </li>
  );
}

/** The style card of a whole row appears beside its head. */
function styleAct(row: string): ArrangeAct {
  const head = document.querySelector(`[data-head="${CSS.escape(row)}"]`)?.getBoundingClientRect();
  return { do: "style", row, part: undefined, left: head?.left ?? 0, right: head?.right ?? 0, y: head?.top ?? 0 };
}
