import { useNavigate } from "react-router";
import { toast } from "sonner";
import { useSWRConfig } from "swr";
import type { PanelSummary } from "../../core/api/shop.ts";
import type { LookDocument } from "../../core/look/look-schema.ts";
import { documentPath, sendJson, shopPath } from "../api.ts";
import { useOpenShop } from "../shell/shop-context.ts";

/**
 * Adds a look to the shop; the first one becomes the look of its pages.
 * @returns its slug; undefined if that failed, which is reported
 */
export function useAddLook(): (document: LookDocument) => Promise<string | undefined> {
  const { shop, settings } = useOpenShop();
  const { mutate } = useSWRConfig();
  return async (document) => {
    try {
      const made = await sendJson<PanelSummary>("POST", documentPath(shop.slug, "look"), { document });
      if (shop.looks.length === 0)
        settings.getState().apply({
          words: `The shop’s look: ${document.name}`,
          change: (draft) => {
            draft.look = made.slug;
          },
        });
      await mutate(shopPath(shop.slug));
      return made.slug;
    } catch (error) {
      toast.error((error as Error).message);
      return undefined;
    }
  };
}

/** Adds a look to the shop and opens it. */
export function useMakeLook(): (document: LookDocument) => Promise<void> {
  const { shop } = useOpenShop();
  const add = useAddLook();
  const navigate = useNavigate();
  return async (document) => {
    const slug = await add(document);
    if (slug !== undefined) navigate(`/shops/${shop.slug}/look/${slug}`);
  };
}
