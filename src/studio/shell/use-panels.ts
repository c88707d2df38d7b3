import useSWR from "swr";
import type { PanelDocument } from "../../core/panel/panel-schema.ts";
import { readDocument } from "./documents.ts";
import { useOpenShop } from "./shop-context.ts";

/** Every panel of the shop by slug, in order. */
export function usePanels(): ReadonlyMap<string, PanelDocument> | undefined {
  const { shop } = useOpenShop();
  const slugs = shop.panels.map(({ slug }) => slug);
  const { data } = useSWR(
    ["panels", shop.slug, ...slugs],
    async () =>
      new Map(
        await Promise.all(slugs.map(async (slug) => [slug, await readDocument(shop.slug, "panel", slug)] as const)),
      ),
    { keepPreviousData: true },
  );
  return data;
}
