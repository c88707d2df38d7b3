import type { ReactNode } from "react";
import { NavLink, useParams } from "react-router";
import { DocumentFrame } from "../shell/document-frame.tsx";
import { useOpenShop, usePages } from "../shell/shop-context.ts";

const tab = ({ isActive }: { isActive: boolean }) =>
  `border-b-2 px-1 py-1 font-medium ${isActive ? "border-accent" : "border-transparent text-quiet hover:text-base-content"}`;

/** The shared parts of the views over a shop's pages: tabs and history. */
export function PagesFrame({ children }: { children: ReactNode }) {
  const { shop: slug = "" } = useParams();
  const { pages } = useOpenShop();
  const collections = usePages((document) => document.collections.length);
  const articles = usePages((document) => document.articles.length);
  const parts: [to: string, label: string][] = [
    ["", "Table"],
    ["/collections", `Collections ${collections}`],
    ["/articles", `Articles ${articles}`],
    ["/around", "Bars, menu, search, languages"],
  ];
  return (
    <DocumentFrame store={pages} what="The pages were">
      <main className="flex min-h-0 flex-1 flex-col px-6 py-4 max-sm:px-3">
        <div className="mb-3 flex flex-none flex-wrap items-center gap-x-5 gap-y-1">
          <h1 className="text-2xl">Pages</h1>
          <nav aria-label="Parts of the pages" className="flex flex-wrap gap-x-4">
            {parts.map(([to, label]) => (
              <NavLink key={to} to={`/shops/${slug}/pages${to}`} end={to === ""} className={tab}>
                {label}
              </NavLink>
            ))}
          </nav>
        </div>
        {children}
      </main>
    </DocumentFrame>
  );
}
