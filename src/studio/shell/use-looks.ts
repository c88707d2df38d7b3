import { useEffect, useState } from "react";
import { groundOf } from "../../core/look/ground.ts";
import type { LookDocument } from "../../core/look/look-schema.ts";
import { plainLook } from "../../core/panel/look/page-look.ts";
import type { DocumentStore } from "./document-store.ts";
import { openDocument } from "./documents.ts";
import { useOpenShop, useShopSettings } from "./shop-context.ts";

/** Looks by slug, in their state in this tab. */
export type Looks = Readonly<Record<string, DocumentStore<LookDocument>>>;

/** The stores of some looks, opened on demand. Missing ones are left out. */
export function useLookStores(shop: string, slugs: readonly string[]): Looks | undefined {
  const [looks, setLooks] = useState<Looks | undefined>(undefined);
  const names = [...new Set(slugs)].sort().join(" ");
  useEffect(() => {
    let over = false;
    const wanted = names === "" ? [] : names.split(" ");
    Promise.all(
      wanted.map(async (slug) => {
        const store = await openDocument(shop, "look", slug).catch(() => undefined);
        return store ? [[slug, store] as const] : [];
      }),
    ).then((found) => over || setLooks(Object.fromEntries(found.flat())));
    return () => {
      over = true;
    };
  }, [shop, names]);
  return looks;
}

/** The documents of looks, updated with every change. */
export function useLookDocuments(looks: Looks | undefined): Readonly<Record<string, LookDocument>> | undefined {
  const [, setTurn] = useState(0);
  useEffect(() => {
    const stops = Object.values(looks ?? {}).map((store) =>
      store.subscribe((now, before) => {
        if (now.document !== before.document) setTurn((turn) => turn + 1);
      }),
    );
    return () => {
      for (const stop of stops) stop();
    };
  }, [looks]);
  return looks && Object.fromEntries(Object.entries(looks).map(([slug, store]) => [slug, store.getState().document]));
}

/** The background of the shop's panels, from its present look. */
export function useShopGround(): string {
  const { shop } = useOpenShop();
  const look = useShopSettings((settings) => settings.look);
  const documents = useLookDocuments(useLookStores(shop.slug, look === undefined ? [] : [look]));
  return groundOf((look !== undefined && documents?.[look]) || plainLook);
}
