import { useSortable } from "@dnd-kit/sortable";
import { CSS } from "@dnd-kit/utilities";
import { ChevronDown, GripVertical, Trash2 } from "lucide-react";
import { bands } from "../../core/panel/bands.ts";
import type { Row } from "../../core/panel/document.ts";
import { removeRow, setLabel } from "../../core/panel/edit.ts";
import { LabelField } from "../shell/label-field.tsx";
import { useOpenShop } from "../shell/shop-context.ts";
import { useBench, useSession } from "./bench-context.ts";
import { Cell } from "./cell.tsx";
import { columns } from "./lattice.tsx";
import { Reach } from "./reach.tsx";
import { RowSettings } from "./row-settings.tsx";
import { rowTitle } from "./row-title.ts";

/** One facet or piece: handle, label, reach, and how it shows on each band. */
export function LatticeRow({ row, pointed }: { row: Row; pointed: boolean }) {
  const { fieldOf, profileOf } = useOpenShop();
  const { panel, session } = useBench();
  const unfolded = useSession((state) => state.unfolded === row.id);
  const { attributes, listeners, setNodeRef, setActivatorNodeRef, transform, transition, isDragging } = useSortable({ id: row.id });
  const title = rowTitle(row, fieldOf);
  const remove = () => panel.getState().apply(removeRow(row.id, title));
  const profile = row.kind === "facet" ? profileOf(row.field) : undefined;

  return (
    <li
      ref={setNodeRef}
      style={{ transform: CSS.Translate.toString(transform), transition }}
      data-row={row.id}
      className={`group relative border-b border-hair ${isDragging ? "z-10 bg-base-100 shadow-lg" : pointed ? "bg-accent/15" : unfolded ? "bg-plum-soft" : "hover:bg-sand/60"}`}
      onPointerEnter={() => session.setState({ marked: row.id })}
      onFocus={() => session.setState({ marked: row.id })}
    >
      <div className={`${columns} min-h-[50px] py-1`}>
        <button
          type="button"
          ref={setActivatorNodeRef}
          {...attributes}
          {...listeners}
          aria-label={`Move ${title}`}
          className="grid h-9 cursor-grab place-items-center text-base-content/45 hover:text-base-content"
        >
          <GripVertical size={16} aria-hidden />
        </button>
        <div className="min-w-0">
          <div className="flex items-center font-medium leading-tight">
            <LabelField
              value={row.label}
              fallback={title}
              label={`Label of ${title}`}
              save={(label) => panel.getState().apply(setLabel(row.id, label, title))}
            />
            <span className="ms-auto flex opacity-0 group-focus-within:opacity-100 group-hover:opacity-100">
              {row.kind === "facet" ? (
                <button
                  type="button"
                  className="grid size-6 place-items-center rounded-md text-quiet hover:bg-base-100 hover:text-base-content"
                  aria-expanded={unfolded}
                  aria-label={`Settings of ${title}`}
                  title="Settings"
                  onClick={() => session.setState({ unfolded: unfolded ? undefined : row.id })}
                >
                  <ChevronDown size={15} aria-hidden className={unfolded ? "rotate-180" : ""} />
                </button>
              ) : null}
              <button
                type="button"
                className="grid size-6 place-items-center rounded-md text-quiet hover:bg-base-100 hover:text-error"
                aria-label={`Remove ${title}`}
                title="Remove"
                onClick={remove}
              >
                <Trash2 size={14} aria-hidden />
              </button>
            </span>
          </div>
          {row.kind === "piece" ? (
            <span className="text-[12px] text-quiet">piece</span>
          ) : profile ? (
            <Reach profile={profile} mode={row.mode} />
          ) : (
            <span className="text-[12px] text-error">no such field in the catalogue</span>
          )}
        </div>
        {row.kind === "facet" ? (
          bands.map((band) => <Cell key={band} row={row} band={band} title={title} />)
        ) : (
          <span className="col-span-3 text-center text-[12px] text-quiet">the same on every band</span>
        )}
      </div>
      {unfolded && row.kind === "facet" ? <RowSettings row={row} title={title} /> : null}
    </li>
  );
}
