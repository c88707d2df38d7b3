import { FloatingPortal } from "@floating-ui/react";
import { X } from "lucide-react";
import { useEffect } from "react";
import { isFacet } from "../../core/panel/panel.ts";
import { rowTitle } from "../../core/panel/row-title.ts";
import { useOpenShop } from "../shell/shop-context.ts";
import { useBench, usePanel, useSession } from "./bench-context.ts";
import { FacetStyle } from "./facet-style.tsx";

const width = 350;
const height = 460;

/** Styles the part pointed at on a page, next to it. */
export function StyleCard() {
  const { session } = useBench();
  const { fieldOf } = useOpenShop();
  // A card stays only in arranging mode.
  const styling = useSession((state) => (state.arranging ? state.styling : undefined));
  const arranging = useSession((state) => state.arranging);
  const row = usePanel((state) => state.document.rows.find(({ id }) => id === styling?.row));
  const close = () => session.setState({ styling: undefined });
  useEffect(() => {
    if (!arranging) session.setState({ styling: undefined });
  }, [arranging, session]);
  useEffect(() => {
    if (!styling) return;
    const leave = (event: KeyboardEvent) => {
      if (event.key === "Escape") session.setState({ styling: undefined });
    };
    addEventListener("keydown", leave);
    return () => removeEventListener("keydown", leave);
  }, [styling, session]);
  if (!styling || !row || !isFacet(row)) return null;
  const title = rowTitle(row, fieldOf);
  // Beside the row, so that the styled part is visible; if there is no space, over its other end.
  const after = styling.right + 16;
  const left = after + width <= innerWidth - 8 ? after : Math.max(8, styling.left - width - 16);
  const top = Math.max(52, Math.min(styling.y - 40, innerHeight - height - 8));
  return (
    <FloatingPortal>
      <section
        role="dialog"
        aria-label={`Style of ${title}`}
        className="fixed z-40 flex flex-col rounded-box border border-base-300 bg-base-100 shadow-2xl"
        style={{ left, top, width, height }}
      >
        <header className="flex flex-none items-center justify-between border-b border-hair px-3 py-1.5">
          <h2 className="text-base">{title}</h2>
          <button
            type="button"
            className="grid size-7 place-items-center rounded-md hover:bg-sand"
            aria-label="Close"
            onClick={close}
          >
            <X size={15} aria-hidden />
          </button>
        </header>
        <div className="min-h-0 flex-1 overflow-y-auto p-3">
          <FacetStyle
            key={`${row.id} ${styling.part}`}
            row={row}
            title={title}
            band={styling.band}
            {...(styling.part === undefined ? {} : { part: styling.part })}
          />
        </div>
      </section>
    </FloatingPortal>
  );
}
