import { X } from "lucide-react";
import { layoutOf, resetLayout, type Scope, setLayout } from "../../core/page/edit.ts";
import { layoutAt, layoutEverywhere, layoutOfKind } from "../../core/page/shown-page.ts";
import { pageKindNames, pageName } from "../shell/page-names.ts";
import { useAllPages, useOpenShop, usePages } from "../shell/shop-context.ts";
import { CardForm } from "./card-form.tsx";
import type { LayoutFormProps } from "./layout-form-props.ts";
import { ListForm } from "./list-form.tsx";
import { NothingForm } from "./nothing-form.tsx";
import { SortForm } from "./sort-form.tsx";
import { StandingForm } from "./standing-form.tsx";
import { TableForm } from "./table-form.tsx";

/** The layout of a kind of page or of one page, without its panels. */
export function LayoutSide({ scope, close }: { scope: Scope; close(): void }) {
  const { pages: store, shop } = useOpenShop();
  const pages = usePages((document) => document);
  const list = useAllPages();
  const first = shop.panels[0]?.slug;
  const page = "address" in scope ? list.find(({ address }) => address === scope.address) : undefined;
  if ("address" in scope && !page) return null;
  const everywhere = "everywhere" in scope;
  // The settings of all pages are shown as for the page of the whole shop.
  const kind = everywhere ? "shop" : "kind" in scope ? scope.kind : page?.kind;
  if (!kind) return null;
  const name = everywhere ? "All pages" : page ? pageName(page) : `All ${pageKindNames[kind].toLowerCase()}`;
  const layout = everywhere
    ? layoutEverywhere(kind, pages, first)
    : page
      ? layoutAt(page, pages, first)
      : layoutOfKind(kind, pages, first);
  const own = layoutOf(pages, scope) ?? {};
  const set: LayoutFormProps["set"] = (changes, what) =>
    store.getState().apply(setLayout(scope, changes, `${name}: ${what}`));
  const form = { layout, own, set };
  return (
    <aside
      aria-label={`Layout of ${name}`}
      className="flex w-[360px] flex-none flex-col overflow-hidden rounded-box border border-hair"
    >
      <header className="flex items-start gap-2 border-b border-hair px-4 py-2.5">
        <div className="min-w-0 flex-1">
          <h2 className="truncate text-[16px]">{name}</h2>
          <p className="text-[13px] text-quiet">
            {everywhere
              ? "Every page of the shop, unless its page type or the page itself has other settings."
              : page
                ? "This page only; everything else follows its page type."
                : "All of these pages, unless a page has its own settings."}
          </p>
        </div>
        {page && Object.keys(own).length > 0 ? (
          <button
            type="button"
            className="link flex-none text-[13px]"
            onClick={() => store.getState().apply(resetLayout(page.address, name))}
          >
            Reset this page
          </button>
        ) : null}
        <button
          type="button"
          className="grid size-7 flex-none place-items-center rounded-md hover:bg-sand"
          aria-label="Close"
          onClick={close}
        >
          <X size={15} aria-hidden />
        </button>
      </header>
      <div className="flex min-h-0 flex-1 flex-col gap-4 overflow-y-auto px-4 py-3">
        <ListForm {...form} isArticle={kind === "article"} />
        <StandingForm {...form} />
        <SortForm {...form} isSearch={kind === "search"} />
        <CardForm {...form} />
        <TableForm {...form} />
        <NothingForm {...form} />
      </div>
    </aside>
  );
}
