import { useState } from "react";
import type { Scope } from "../../core/page/edit.ts";
import { usePanels } from "../shell/use-panels.ts";
import { LayoutSide } from "./layout-side.tsx";
import { PageTable } from "./page-table.tsx";
import { PagesFrame } from "./pages-frame.tsx";

/** Every page and panel in a table, and the layout of one of them at the side. */
export function PagesView() {
  const panels = usePanels();
  const [open, setOpen] = useState<Scope | undefined>(undefined);
  return (
    <PagesFrame>
      {panels ? (
        <div className="flex min-h-0 flex-1 gap-4">
          <PageTable panels={panels} open={open} openLayout={setOpen} />
          {open ? <LayoutSide key={JSON.stringify(open)} scope={open} close={() => setOpen(undefined)} /> : null}
        </div>
      ) : (
        <p className="text-quiet">Loading the panels…</p>
      )}
    </PagesFrame>
  );
}
