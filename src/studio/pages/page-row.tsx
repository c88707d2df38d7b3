import { ChevronRight, LayoutTemplate } from "lucide-react";
import { type CSSProperties, memo } from "react";
import { Link } from "react-router";
import type { PageFigures } from "../../core/findings/page/figures.ts";
import { type PagesEdit, type Scope, setLayout } from "../../core/page/edit.ts";
import type { PageRef } from "../../core/page/page-list.ts";
import { layoutAt, layoutOfKind, pageOverrides } from "../../core/page/shown-page.ts";
import type { PanelDocument } from "../../core/panel/panel-schema.ts";
import { Opens } from "../numbers/opens.tsx";
import { pageKindNames, pageName } from "../shell/page-names.ts";
import { percent } from "../shell/percent.ts";
import { useShift } from "../shell/shift-results.ts";
import { useOpenShop, usePages } from "../shell/shop-context.ts";
import { productsOn } from "./opened.ts";
import { PanelCell } from "./panel-cell.tsx";
import type { TableRow } from "./table-rows.ts";

interface Props {
  row: Exclude<TableRow, { is: "detail" }>;
  panels: ReadonlyMap<string, PanelDocument>;
  columns: CSSProperties;
  figures: PageFigures | undefined;
  unfolded: boolean;
  fold(address: string): void;
  /** Its layout is open at the side. */
  isOpen: boolean;
  openLayout(scope: Scope | undefined): void;
}

/** A page or kind of pages: the placement of each panel, and its figures. Rerendered only when it changes itself. */
export const PageRow = memo(DrawnRow);

function DrawnRow({ row, panels, columns, figures, unfolded, fold, isOpen, openLayout }: Props) {
  const { pages: store, shop } = useOpenShop();
  const pages = usePages((document) => document);
  const first = shop.panels[0]?.slug;
  const page = row.is === "page" ? row.page : undefined;
  const kind = row.is === "kind" ? row.kind : row.page.kind;
  const scope: Scope = page ? { address: page.address } : { kind };
  const name = page ? pageName(page) : pageKindNames[kind];
  const where = page ? name : `all ${name.toLowerCase()}`;
  const standing = (page ? layoutAt(page, pages, first) : layoutOfKind(kind, pages, first)).panels;
  const own = page !== undefined && pageOverrides(pages, page.address)?.panels !== undefined;
  const apply = (edit: PagesEdit) => store.getState().apply(edit);
  const ground = page ? (isOpen ? "bg-plum-soft" : "hover:bg-sand/50") : "bg-sand/70";
  return (
    <div
      role="row"
      tabIndex={-1}
      className={`grid h-10 items-center gap-x-1 border-b border-hair px-2 ${ground}`}
      style={columns}
    >
      <span role="rowheader" tabIndex={-1} className="flex min-w-0 items-center gap-1">
        {page ? (
          <>
            <button
              type="button"
              className="grid size-6 flex-none place-items-center rounded-md text-quiet hover:bg-base-100"
              aria-expanded={unfolded}
              aria-label={`Facets on ${name}`}
              onClick={() => fold(page.address)}
            >
              <ChevronRight size={14} aria-hidden className={unfolded ? "rotate-90" : ""} />
            </button>
            <PageLink page={page} panel={standing[0]?.panel ?? first} />
          </>
        ) : (
          <>
            <b className="ps-1 font-semibold">{name}</b>
            <span className="text-quiet">
              {row.is === "kind" && row.pages > 1 ? row.pages.toLocaleString("en") : ""}
            </span>
          </>
        )}
      </span>
      {[...panels].map(([slug, panel]) => (
        <span key={slug} role="cell">
          <PanelCell
            where={where}
            kind={kind}
            scope={scope}
            standing={standing}
            slug={slug}
            panel={panel}
            own={own}
            apply={apply}
            reset={() => apply(setLayout(scope, { panels: undefined }, `Reset the panels of ${name} to the page type`))}
          />
        </span>
      ))}
      <Numbers figures={figures} waiting={page !== undefined} />
      <span role="cell" className="flex justify-end">
        <button
          type="button"
          className={`grid size-7 place-items-center rounded-md ${isOpen ? "bg-primary text-primary-content" : "text-quiet hover:bg-base-100"}`}
          aria-pressed={isOpen}
          aria-label={`Layout of ${where}`}
          title="Layout"
          onClick={() => openLayout(isOpen ? undefined : scope)}
        >
          <LayoutTemplate size={15} aria-hidden />
        </button>
      </span>
    </div>
  );
}

/** A link to the bench with the page on its stage. */
function PageLink({ page, panel = "" }: { page: PageRef; panel: string | undefined }) {
  const { shop } = useOpenShop();
  const depth = page.kind === "category" ? page.address.split("/").length - 3 : 0;
  return (
    <Link
      to={`/shops/${shop.slug}/panels/${panel}?page=${encodeURIComponent(page.address)}`}
      className="min-w-0 truncate hover:underline"
      style={{ paddingInlineStart: depth * 14 }}
      title={`${page.address}: show it under Panels`}
    >
      {pageName(page)}
    </Link>
  );
}

function Numbers({ figures, waiting }: { figures: PageFigures | undefined; waiting: boolean }) {
  const { shop } = useOpenShop();
  const shift = useShift(shop.slug, figures?.address ?? "");
  const cell = "text-end";
  if (!figures)
    return [0, 1, 2, 3, 4, 5].map((at) => (
      <span key={at} role="cell" className={`${cell} text-quiet`}>
        {waiting ? "…" : ""}
      </span>
    ));
  const { products, facets, findings, kind } = figures;
  const shown = facets.filter(({ reach }) => reach > 0);
  const least = shown.reduce((low, { reach }) => Math.min(low, reach), products);
  const left = facets.reduce((sum, one) => sum + one.left, 0);
  const serious = findings.some(({ level }) => level !== "note");
  const bad = "font-semibold text-error";
  return (
    <>
      <span role="cell" className={`${cell} ${products === 0 && kind !== "search" ? bad : ""}`}>
        <Opens number={() => productsOn(figures)}>{products.toLocaleString("en")}</Opens>
      </span>
      <span role="cell" className={`${cell} ${shown.length < facets.length ? "text-error" : ""}`}>
        {facets.length === 0 ? "–" : `${shown.length} of ${facets.length}`}
      </span>
      <span role="cell" className={cell}>
        {shown.length === 0 ? "–" : percent(least, products)}
      </span>
      <span role="cell" className={cell}>
        {left.toLocaleString("en")}
      </span>
      <span role="cell" className={`${cell} ${shift !== undefined && shift > 0.1 ? bad : ""}`}>
        {shift === undefined ? (
          <Link
            to={`/shops/${shop.slug}/panels?page=${encodeURIComponent(figures.address)}`}
            className="text-quiet underline decoration-dotted underline-offset-4"
            aria-label={`Measure the layout shift of ${pageName(figures)} under Panels`}
          >
            –
          </Link>
        ) : (
          shift.toFixed(2)
        )}
      </span>
      <span role="cell" className={`${cell} ${serious ? bad : ""}`}>
        {findings.length.toLocaleString("en")}
      </span>
    </>
  );
}
