import { Download } from "lucide-react";
import type { ReactNode } from "react";
import { Link, NavLink, useParams } from "react-router";
import { useStore } from "zustand";
import { shopPath } from "../api.ts";
import { DocumentFrame } from "../shell/document-frame.tsx";
import { useOpenShop } from "../shell/shop-context.ts";

const tab = ({ isActive }: { isActive: boolean }) =>
  `border-b-2 px-1 py-1 font-medium ${isActive ? "border-accent" : "border-transparent text-quiet hover:text-base-content"}`;

/** The shared parts of the catalogue's views: its size, its tabs, the history of corrections, import and download. */
export function CatalogueFrame({ children }: { children: ReactNode }) {
  const { shop: slug = "" } = useParams();
  const { shop, products, variants, mends } = useOpenShop();
  const mended = useStore(mends, (state) => state.document.mends.length);
  return (
    <DocumentFrame store={mends} what="The corrections were">
      <main className="flex min-h-0 flex-1 flex-col px-6 py-4 max-sm:px-3">
        <div className="mb-3 flex flex-none flex-wrap items-center gap-x-5 gap-y-1">
          <h1 className="text-2xl">{shop.name}</h1>
          <p className="text-quiet tabular-nums">
            {products.toLocaleString("en")} products, {variants.toLocaleString("en")} variants
          </p>
          <nav aria-label="Parts of the catalogue" className="flex gap-4">
            <NavLink to={`/shops/${slug}/catalogue`} end className={tab}>
              Fields
            </NavLink>
            <NavLink to={`/shops/${slug}/catalogue/products`} className={tab}>
              Products
            </NavLink>
            <NavLink to={`/shops/${slug}/catalogue/mends`} className={tab}>
              Corrections{mended > 0 ? ` ${mended}` : ""}
            </NavLink>
          </nav>
          <p className="ms-auto flex items-center gap-1.5 text-quiet">
            <Download size={15} aria-hidden /> Download as
            <a className="link" href={`/api${shopPath(slug)}/catalogue.csv`} download>
              CSV
            </a>
            or
            <a className="link" href={`/api${shopPath(slug)}/catalogue.jsonld`} download>
              JSON-LD
            </a>
          </p>
          <Link to={`/shops/${slug}/catalogue/import`} className="btn btn-sm">
            Import a newer file
          </Link>
        </div>
        {children}
      </main>
    </DocumentFrame>
  );
}
