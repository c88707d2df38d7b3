import { placePanel } from "../../core/page/edit.ts";
import { layoutAt } from "../../core/page/shown-page.ts";
import { useOpenShop, usePages } from "../shell/shop-context.ts";
import { useBench, usePanel, useSession } from "./bench-context.ts";

/** A note that the stage's page doesn't have the panel, and which panels it has; one click places it. */
export function TrialNote() {
  const { shop, pages: store } = useOpenShop();
  const { slug } = useBench();
  const name = usePanel((state) => state.document.name);
  const page = useSession((state) => state.shown?.page);
  const pages = usePages((document) => document);
  if (!page) return null;
  const standing = layoutAt(page, pages, shop.panels[0]?.slug).panels;
  if (standing.some(({ panel }) => panel === slug)) return null;
  const others = standing.flatMap(({ panel }) => shop.panels.find((one) => one.slug === panel)?.name ?? []);
  const seen =
    others.length === 0
      ? "Shoppers see no panel here."
      : `Shoppers see ${others.map((one) => `“${one}”`).join(", ")} here.`;
  return (
    <p className="mx-5 mb-1 flex items-center gap-3 rounded-lg bg-accent/25 px-3 py-1 text-[13px]" role="note">
      <b className="font-semibold">Trial</b>
      <span className="min-w-0 flex-1 truncate">
        “{name}” isn’t on this page. {seen}
      </span>
      <button
        type="button"
        className="btn btn-xs flex-none"
        onClick={() =>
          store
            .getState()
            .apply(placePanel({ address: page.address }, standing, slug, undefined, `Place ${name} on ${page.address}`))
        }
      >
        Place it here
      </button>
    </p>
  );
}
