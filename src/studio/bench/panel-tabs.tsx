import { useEffect, useRef } from "react";
import { Link, useNavigate } from "react-router";
import { toast } from "sonner";
import { useSWRConfig } from "swr";
import type { PanelSummary } from "../../core/api/shop.ts";
import { placePanel } from "../../core/page/edit.ts";
import { defaultPages } from "../../core/page/shown-page.ts";
import { renamePanel } from "../../core/panel/edit.ts";
import type { PanelDocument } from "../../core/panel/panel-schema.ts";
import { documentPath, sendJson, shopPath } from "../api.ts";
import { useDocumentEntries } from "../shell/document-entries.ts";
import { type Entry, EntryMenu } from "../shell/entry-menu.tsx";
import { LabelField } from "../shell/label-field.tsx";
import { ManyTabs, mostTabs } from "../shell/many-tabs.tsx";
import { useAllPages, useOpenShop } from "../shell/shop-context.ts";
import { focusMade } from "../shell/when-there.ts";
import { useBench, usePanel, useSession } from "./bench-context.ts";
import { NewPanel, type Place } from "./new-panel.tsx";
import { takePictures } from "./panel-pictures.tsx";
import { printPanel } from "./panel-sheet.tsx";

/** Ways to take the open panel out of the tool. */
const outputs: readonly Entry[] = [
  { label: "Print, or save as a PDF", run: printPanel },
  { label: "Download pictures (PNG)", run: takePictures },
];

/** Marks a panel on the stage's page. */
const Here = () => (
  <span className="me-1.5 size-1.5 rounded-full bg-success" title="On this page">
    <span className="sr-only">On this page: </span>
  </span>
);

/** The shop's panels as tabs; the open one's name can be edited. */
export function PanelTabs({ shop, current }: { shop: string; current: string }) {
  const { shop: open, pages } = useOpenShop();
  const { panels } = open;
  const standing = useSession(({ shown }) => shown?.page.layout.panels);
  const isHere = (slug: string) => standing?.some(({ panel }) => panel === slug) === true;
  const to = (slug: string) => `/shops/${shop}/panels/${slug}`;
  const store = useBench().panel;
  const name = usePanel((state) => state.document.name);
  const navigate = useNavigate();
  const { mutate } = useSWRConfig();
  const add = async (document: PanelDocument, stand?: Place) => {
    try {
      const made = await sendJson<PanelSummary>("POST", documentPath(shop, "panel"), { document });
      if (stand) {
        const words = `${document.name} on ${stand.words}`;
        pages.getState().apply(placePanel(stand.scope, stand.standing(), made.slug, undefined, words));
      }
      await mutate(shopPath(shop));
      void navigate(`/shops/${shop}/panels/${made.slug}${stand ? `?page=${encodeURIComponent(stand.address)}` : ""}`);
      // The tab itself, and not the name in it: the next key may be a shortcut.
      focusMade(`[data-tab="${CSS.escape(made.slug)}"]`);
    } catch (error) {
      toast.error((error as Error).message);
    }
  };
  const tabs = useRef<HTMLDivElement>(null);
  // biome-ignore lint/correctness/useExhaustiveDependencies: the open tab is brought into sight whenever it changes
  useEffect(() => {
    tabs.current?.querySelector("[data-tab]")?.scrollIntoView({ block: "nearest", inline: "nearest" });
  }, [current]);
  const list = useAllPages();
  const usual = (first: string) => {
    const on = defaultPages(list, pages.getState().document).length;
    return on > 0 ? `${first} then becomes the default panel, on ${on} of ${list.length} pages.` : undefined;
  };
  const entries = useDocumentEntries(
    "panel",
    { slug: current, name },
    {
      duplicate: (as) => void add({ ...store.getState().document, name: as }),
      keep: panels.length > 1 ? undefined : "it is the only panel",
      newFirst: usual,
    },
  );
  return (
    <nav aria-label="Panels" className="flex h-10 flex-none items-stretch border-b border-hair px-2">
      <div ref={tabs} className="flex min-w-0 items-stretch overflow-x-auto">
        {panels.map((panel) =>
          panel.slug === current ? (
            <span
              key={panel.slug}
              data-tab={panel.slug}
              tabIndex={-1}
              className="flex items-center border-b-2 border-accent px-3 font-semibold"
            >
              {isHere(panel.slug) ? <Here /> : null}
              <LabelField value={name} label="Panel name" save={(next) => store.getState().apply(renamePanel(next))} />
            </span>
          ) : panels.length > mostTabs ? null : (
            <Link
              key={panel.slug}
              to={to(panel.slug)}
              className="flex flex-none items-center px-3 text-quiet hover:text-base-content"
            >
              {isHere(panel.slug) ? <Here /> : null}
              {panel.name}
            </Link>
          ),
        )}
      </div>
      {panels.length > mostTabs ? (
        <ManyTabs
          what="panels"
          entries={panels.map(({ slug, name: called }) => ({
            slug,
            name: called,
            mark: isHere(slug) ? <Here /> : undefined,
          }))}
          current={current}
          to={to}
        />
      ) : null}
      <NewPanel make={add} name={`Panel ${panels.length + 1}`} />
      <span className="grid flex-none place-items-center">
        <EntryMenu
          title={`panel ${name}`}
          entries={() => [...entries(), ...outputs]}
          className="size-8"
          act="More for the panel"
        />
      </span>
    </nav>
  );
}
