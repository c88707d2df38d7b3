import { Link, useNavigate } from "react-router";
import { toast } from "sonner";
import { useSWRConfig } from "swr";
import { standPanel } from "../../core/page/edit.ts";
import { renamePanel } from "../../core/panel/edit.ts";
import type { PanelDocument } from "../../core/panel/panel-schema.ts";
import type { PanelSummary } from "../../core/wire/shop.ts";
import { documentPath, sendJson, shopPath } from "../api.ts";
import { type Entry, EntryMenu } from "../shell/entry-menu.tsx";
import { LabelField } from "../shell/label-field.tsx";
import { useOpenShop } from "../shell/shop-context.ts";
import { removeWithWayBack, tried } from "../shell/tried.ts";
import { useBench, usePanel, useSession } from "./bench-context.ts";
import { NewPanel, type Place } from "./new-panel.tsx";

/** Marks a panel that stands on the page of the stage. */
const Here = () => (
  <span className="me-1.5 size-1.5 rounded-full bg-success" title="Stands on this page">
    <span className="sr-only">On this page: </span>
  </span>
);

/** The shop's panels as tabs; the open one's name is edited in place. */
export function PanelTabs({ shop, current }: { shop: string; current: string }) {
  const { shop: open, pages } = useOpenShop();
  const { panels } = open;
  const standing = useSession(({ shown }) => shown?.page.layout.panels);
  const isHere = (slug: string) => standing?.some(({ panel }) => panel === slug) === true;
  const store = useBench().panel;
  const name = usePanel((state) => state.document.name);
  const navigate = useNavigate();
  const { mutate } = useSWRConfig();
  const add = async (document: PanelDocument, stand?: Place) => {
    try {
      const made = await sendJson<PanelSummary>("POST", documentPath(shop, "panel"), { document });
      if (stand) {
        const words = `${document.name} on ${stand.words}`;
        pages.getState().apply(standPanel(stand.scope, stand.standing(), made.slug, undefined, words));
      }
      await mutate(shopPath(shop));
      navigate(`/shops/${shop}/bench/${made.slug}${stand ? `?page=${encodeURIComponent(stand.address)}` : ""}`);
    } catch (error) {
      toast.error((error as Error).message);
    }
  };
  const at = panels.findIndex(({ slug }) => slug === current);
  const listAnew = () => mutate(shopPath(shop));
  const move = (by: number) => {
    const slugs = panels.map(({ slug }) => slug);
    slugs.splice(at + by, 0, ...slugs.splice(at, 1));
    return tried(() => sendJson("PUT", `${documentPath(shop, "panel")}/order`, { slugs }), listAnew);
  };
  const remove = async () => {
    const next = panels[at + 1] ?? panels[at - 1];
    if (await removeWithWayBack(documentPath(shop, "panel", current), name, listAnew))
      navigate(`/shops/${shop}/bench/${next?.slug ?? ""}`);
  };
  const entries = (): Entry[] => [
    {
      label: "Duplicate",
      run: () => void add({ ...store.getState().document, name: `${name.slice(0, 94)} copy` }),
    },
    ...(at > 0 ? [{ label: "Move to the left", run: () => void move(-1) }] : []),
    ...(at < panels.length - 1 ? [{ label: "Move to the right", run: () => void move(1) }] : []),
    panels.length > 1 ? { label: "Remove", run: () => void remove() } : { label: "Remove: it is the only panel" },
  ];
  return (
    <nav aria-label="Panels" className="flex h-10 flex-none items-stretch overflow-x-auto border-b border-hair px-2">
      {panels.map((panel) =>
        panel.slug === current ? (
          <span key={panel.slug} className="flex items-center border-b-2 border-accent px-3 font-semibold">
            {isHere(panel.slug) ? <Here /> : null}
            <LabelField value={name} label="Panel name" save={(next) => store.getState().apply(renamePanel(next))} />
          </span>
        ) : (
          <Link
            key={panel.slug}
            to={`/shops/${shop}/bench/${panel.slug}`}
            className="flex flex-none items-center px-3 text-quiet hover:text-base-content"
          >
            {isHere(panel.slug) ? <Here /> : null}
            {panel.name}
          </Link>
        ),
      )}
      <NewPanel make={add} name={`Panel ${panels.length + 1}`} />
      <span className="grid flex-none place-items-center">
        <EntryMenu title={`panel ${name}`} entries={entries} className="size-8" />
      </span>
    </nav>
  );
}
