import { useCallback, useEffect, useMemo, useState } from "react";
import { Outlet, useParams } from "react-router";
import { useSWRConfig } from "swr";
import useSWRImmutable from "swr/immutable";
import type { ShopSummary } from "../../core/api/shop.ts";
import type { MendDocument } from "../../core/catalogue/mend/mend-schema.ts";
import { RemoteEngine } from "../../core/engine/remote-engine.ts";
import type { PagesDocument } from "../../core/page/pages-schema.ts";
import type { SwatchBook } from "../../core/swatch/view.ts";
import { sourceAddress } from "../ahead.ts";
import { type ApiError, request, shopPath, useShop } from "../api.ts";
import type { Overview } from "../desk/desk.ts";
import { type RemoteDesk, startDesk } from "../desk/open-desk.ts";
import { NumberSheet } from "../numbers/number-sheet.tsx";
import type { DocumentStore } from "./document-store.ts";
import { useDocument } from "./documents.ts";
import { NotHere } from "./not-here.tsx";
import { type OpenShop, ShopContext } from "./shop-context.ts";
import { SightFilters } from "./sight.tsx";

/** Opens the address's shop for the views inside. */
export function ShopFrame() {
  const { shop: slug = "" } = useParams();
  return <OpenFrame key={slug} slug={slug} />;
}

function OpenFrame({ slug }: { slug: string }) {
  const path = shopPath(slug);
  const shop = useShop(slug);
  const swatches = useSWRImmutable<SwatchBook, ApiError>(`${path}/swatches`, request<SwatchBook>);
  const { store: mends, error: noMends } = useDocument(slug, "mends");
  const { store: settings, error: noSettings } = useDocument(slug, "shop");
  const { store: pages, error: noPages } = useDocument(slug, "pages");
  const { mutate } = useSWRConfig();
  const { catalogue, trouble, again } = useCatalogue(path, mends, pages);
  const reopen = useCallback(
    async (next: ShopSummary) => {
      await Promise.all([mutate(path, next, { revalidate: false }), mutate(`${path}/swatches`)]);
      again();
    },
    [path, mutate, again],
  );

  const open = useMemo<OpenShop | undefined>(() => {
    if (!shop.data || !swatches.data || !mends || !settings || !pages || !catalogue) return undefined;
    const { desk, engine, overview } = catalogue;
    const profiles = new Map(overview.profiles.map((profile) => [profile.field.key, profile]));
    return {
      shop: shop.data,
      products: overview.products,
      variants: overview.variants,
      profiles: overview.profiles,
      profileOf: (key) => profiles.get(key),
      fieldOf: (key) => profiles.get(key)?.field,
      swatches: swatches.data,
      engine,
      desk,
      settings,
      pages,
      mends,
      mended: overview.mended,
      reopen,
    };
  }, [shop.data, swatches.data, mends, settings, pages, catalogue, reopen]);

  const error = shop.error ?? swatches.error ?? noMends ?? noSettings ?? noPages;
  if (error)
    return (
      <NotHere
        title={error.status === 404 ? "This page doesn’t exist" : "Something went wrong"}
        message={error.message}
      />
    );
  if (trouble) return <NotHere title="Something went wrong" message={trouble} />;
  if (!open) return <div className="grid h-full place-items-center text-quiet">Loading the shop…</div>;
  return (
    <ShopContext value={open}>
      <SightFilters />
      <Outlet />
      <NumberSheet />
    </ShopContext>
  );
}

interface OpenCatalogue {
  desk: RemoteDesk;
  engine: RemoteEngine;
  overview: Overview;
}

/** Opens a shop's catalogue in a worker, and updates its corrections and collections. */
function useCatalogue(
  path: string,
  mends: DocumentStore<MendDocument> | undefined,
  pages: DocumentStore<PagesDocument> | undefined,
) {
  const [turn, setTurn] = useState(0);
  const [catalogue, setCatalogue] = useState<OpenCatalogue | undefined>(undefined);
  const [trouble, setTrouble] = useState<string | undefined>(undefined);

  // biome-ignore lint/correctness/useExhaustiveDependencies: a new turn opens the catalogue anew
  useEffect(() => {
    if (!mends || !pages) return;
    const source = sourceAddress(path);
    const { desk, close } = startDesk(source);
    let over = false;
    // Each state of the catalogue has its own engine, since cached answers of another would be wrong.
    const take = (overview: Overview) => {
      if (!over) setCatalogue({ desk, engine: new RemoteEngine((question) => desk.answer(question)), overview });
    };
    const fail = (error: Error) => over || setTrouble(error.message);
    const mended = () => mends.getState().document.mends;
    const { collections } = pages.getState().document;
    desk.fetch(source, mended(), collections).then(take, fail);
    const again = () => desk.mend(mended(), pages.getState().document.collections).then(take, fail);
    const stops = [
      mends.subscribe((now, before) => {
        if (now.document !== before.document) again();
      }),
      pages.subscribe((now, before) => {
        if (now.document.collections !== before.document.collections) again();
      }),
    ];
    return () => {
      over = true;
      for (const stop of stops) stop();
      close();
    };
  }, [path, mends, pages, turn]);
  const again = useCallback(() => setTurn((now) => now + 1), []);
  return { catalogue, trouble, again };
}
