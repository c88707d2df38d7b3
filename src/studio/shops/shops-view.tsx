import { FolderDown, Plus } from "lucide-react";
import { Link } from "react-router";
import { useSWRConfig } from "swr";
import { removedPath, shopPath, useShops } from "../api.ts";
import { Fault } from "../shell/alert.tsx";
import { Commands } from "../shell/commands.tsx";
import { RemovedList } from "../shell/removed-list.tsx";
import { Strip } from "../shell/strip.tsx";
import { BringFolder } from "./bring-folder.tsx";
import { ShopMenu } from "./shop-menu.tsx";

/** The list of shops, and the way to a new one. */
export function ShopsView() {
  const { data: shops, error, mutate } = useShops();
  const { mutate: everywhere } = useSWRConfig();
  const changed = async () => {
    await Promise.all([mutate(), everywhere(removedPath())]);
  };
  return (
    <div className="flex h-full flex-col bg-base-200">
      <Strip />
      <main className="mx-auto w-full max-w-3xl flex-1 overflow-auto px-6 py-12">
        <div className="mb-6 flex flex-wrap items-end gap-2">
          <h1 className="flex-1 text-3xl">Your shops</h1>
          <BringFolder />
          <Link to="/new" className="btn btn-accent btn-sm">
            <Plus size={16} aria-hidden /> New shop from a file
          </Link>
        </div>
        <Fault text={error?.message} />
        <ul className="divide-y divide-hair rounded-box border border-hair bg-base-100">
          {shops?.map((shop) => (
            <li key={shop.slug} className="relative flex items-center hover:bg-sand">
              <Link
                to={`/shops/${encodeURIComponent(shop.slug)}`}
                className="flex min-w-0 flex-1 items-center gap-4 px-5 py-4"
              >
                <span
                  className="grid size-10 flex-none place-items-center rounded-lg bg-primary font-display text-lg text-accent"
                  aria-hidden
                >
                  {[...shop.name][0]}
                </span>
                <span className="min-w-0 flex-1">
                  <span className="block truncate font-display text-lg font-semibold">{shop.name}</span>
                  <span className="block truncate text-quiet">{shop.panels.map((panel) => panel.name).join(", ")}</span>
                </span>
                <span className="text-right text-quiet tabular-nums">
                  {shop.products.toLocaleString("en")} products
                  <br />
                  {shop.variants.toLocaleString("en")} variants
                </span>
              </Link>
              <a
                href={`/api${shopPath(shop.slug)}/folder.zip`}
                className="btn btn-ghost btn-sm"
                aria-label={`${shop.name} as a folder`}
                title="Download the whole shop as a ZIP"
              >
                <FolderDown size={16} aria-hidden />
              </a>
              <span className="me-3">
                <ShopMenu shop={shop} changed={changed} />
              </span>
            </li>
          ))}
          {shops?.length === 0 ? (
            <li className="px-5 py-8 text-quiet">
              No shops yet. Choose New shop from a file and pick your product list (CSV).
            </li>
          ) : null}
        </ul>
        <RemovedList path={removedPath()} pathOf={shopPath} changed={changed} title="Removed shops" className="mt-8" />
      </main>
      <Commands />
    </div>
  );
}
