import { Copy, Plus } from "lucide-react";
import { Link, useNavigate } from "react-router";
import { toast } from "sonner";
import { useSWRConfig } from "swr";
import { renamePanel } from "../../core/panel/edit.ts";
import type { PanelDocument } from "../../core/panel/panel-schema.ts";
import type { PanelSummary } from "../../core/wire/shop.ts";
import { documentPath, sendJson, shopPath } from "../api.ts";
import { LabelField } from "../shell/label-field.tsx";
import { useOpenShop } from "../shell/shop-context.ts";
import { useBench, usePanel } from "./bench-context.ts";

/** The shop's panels as tabs; the open one's name is edited in place. */
export function PanelTabs({ shop, current }: { shop: string; current: string }) {
  const { panels } = useOpenShop().shop;
  const store = useBench().panel;
  const name = usePanel((state) => state.document.name);
  const navigate = useNavigate();
  const { mutate } = useSWRConfig();
  const add = async (content: { name: string } | { document: PanelDocument }) => {
    try {
      const made = await sendJson<PanelSummary>("POST", documentPath(shop, "panel"), content);
      await mutate(shopPath(shop));
      navigate(`/shops/${shop}/bench/${made.slug}`);
    } catch (error) {
      toast.error((error as Error).message);
    }
  };
  return (
    <nav aria-label="Panels" className="flex h-10 flex-none items-stretch overflow-x-auto border-b border-hair px-2">
      {panels.map((panel) =>
        panel.slug === current ? (
          <span key={panel.slug} className="flex items-center border-b-2 border-accent px-3 font-semibold">
            <LabelField value={name} label="Panel name" save={(next) => store.getState().apply(renamePanel(next))} />
          </span>
        ) : (
          <Link
            key={panel.slug}
            to={`/shops/${shop}/bench/${panel.slug}`}
            className="flex flex-none items-center px-3 text-quiet hover:text-base-content"
          >
            {panel.name}
          </Link>
        ),
      )}
      <button
        type="button"
        aria-label="New panel"
        title="New panel"
        className="grid w-9 place-items-center text-quiet hover:text-base-content"
        onClick={() => add({ name: `Panel ${panels.length + 1}` })}
      >
        <Plus size={16} aria-hidden />
      </button>
      <button
        type="button"
        aria-label={`Duplicate ${name}`}
        title="Duplicate this panel"
        className="grid w-9 place-items-center text-quiet hover:text-base-content"
        onClick={() => add({ document: { ...store.getState().document, name: `${name.slice(0, 94)} copy` } })}
      >
        <Copy size={14} aria-hidden />
      </button>
    </nav>
  );
}
