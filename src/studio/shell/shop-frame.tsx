import { useMemo } from "react";
import { Outlet, useParams } from "react-router";
import useSWRImmutable from "swr/immutable";
import { type FieldProfile, profileField } from "../../core/evidence/profile.ts";
import { CatalogueIndex } from "../../core/index/catalogue-index.ts";
import { unpackCatalogue } from "../../core/index/wire.ts";
import { LocalEngine } from "../../core/match/engine.ts";
import type { ShopData } from "../../storefront/shop-data.ts";
import { type ApiError, request, shopPath, useShop } from "../api.ts";
import { NotHere } from "./not-here.tsx";
import { type OpenShop, ShopContext } from "./shop-context.ts";

/** Opens the shop of the address for the views inside. */
export function ShopFrame() {
  const { shop: slug = "" } = useParams();
  const shop = useShop(slug);
  const data = useSWRImmutable<ShopData, ApiError>(`${shopPath(slug)}/data`, request<ShopData>);
  const catalogue = useMemo(() => (data.data ? openCatalogue(data.data) : undefined), [data.data]);
  const open = useMemo(() => (shop.data && catalogue ? { shop: shop.data, ...catalogue } : undefined), [shop.data, catalogue]);

  const error = shop.error ?? data.error;
  if (error) return <NotHere title={error.status === 404 ? "Not here" : "That did not work"} message={error.message} />;
  if (!open) return <div className="grid h-full place-items-center text-quiet">Opening the shop …</div>;
  return (
    <ShopContext value={open}>
      <Outlet />
    </ShopContext>
  );
}

function openCatalogue(data: ShopData): Omit<OpenShop, "shop"> {
  const index = new CatalogueIndex(unpackCatalogue(data.catalogue));
  const profiles = new Map<string, FieldProfile>();
  return {
    index,
    engine: new LocalEngine(index),
    swatches: data.swatches,
    profileOf(key) {
      const field = index.field(key);
      if (field && !profiles.has(key)) profiles.set(key, profileField(index, field));
      return profiles.get(key);
    },
  };
}
