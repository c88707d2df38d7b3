import { useMemo } from "react";
import { Navigate, useParams } from "react-router";
import useSWRImmutable from "swr/immutable";
import { type ApiError, panelPath, request, type StoredPanel } from "../api.ts";
import { ConflictNote } from "../shell/conflict-note.tsx";
import { createDocumentStore } from "../shell/document-store.ts";
import { NotHere } from "../shell/not-here.tsx";
import { useOpenShop } from "../shell/shop-context.ts";
import { useLeaveWarning } from "../shell/use-leave-warning.ts";
import { BenchContext, createSession, type PanelStore } from "./bench-context.ts";
import { BenchStrip } from "./bench-strip.tsx";
import { Commands } from "./commands.tsx";
import { EvidenceLine } from "./evidence-line.tsx";
import { Lattice } from "./lattice.tsx";
import { PanelTabs } from "./panel-tabs.tsx";
import { Shortcuts } from "./shortcuts.tsx";
import { Stage } from "./stage.tsx";

/** Panels that were opened in this tab, so that history and unsaved work outlive a change of view. */
const opened = new Map<string, PanelStore>();

/** The bench of the address's panel; the shop's first when it names none. */
export function BenchView() {
  const { shop } = useOpenShop();
  const { panel: slug } = useParams();
  if (slug === undefined && shop.panels.length > 0) return <Navigate to={`/shops/${shop.slug}/bench/${shop.panels[0].slug}`} replace />;
  return <OpenBench key={slug} shop={shop.slug} slug={slug ?? ""} />;
}

function OpenBench({ shop, slug }: { shop: string; slug: string }) {
  const path = panelPath(shop, slug);
  const known = opened.get(path);
  const { data, error } = useSWRImmutable<StoredPanel, ApiError>(known ? null : path, request<StoredPanel>);
  const session = useMemo(createSession, []);
  let panel = known;
  if (!panel && data) {
    panel = createDocumentStore(path, data);
    opened.set(path, panel);
  }
  useLeaveWarning(panel);

  if (error) return <NotHere title={error.status === 404 ? "Not here" : "That did not work"} message={error.message} />;
  if (!panel) return <div className="grid h-full place-items-center text-quiet">Opening the panel …</div>;
  return (
    <BenchContext value={{ panel, session }}>
      <div className="flex h-full flex-col">
        <BenchStrip />
        <ConflictNote store={panel} what="This panel was" />
        <main className="flex min-h-0 flex-1">
          <section aria-label="Lattice" className="flex w-[470px] flex-none flex-col border-e border-hair">
            <PanelTabs shop={shop} current={slug} />
            <Lattice />
          </section>
          <section aria-label="Stage" className="flex min-w-0 flex-1 flex-col bg-base-200">
            <Stage slug={slug} />
            <EvidenceLine />
          </section>
        </main>
        <Commands />
        <Shortcuts />
      </div>
    </BenchContext>
  );
}
