import { useMemo } from "react";
import type { VisitReport } from "../../../core/api/visit-report.ts";
import type { PanelDocument } from "../../../core/panel/panel-schema.ts";
import { useAsked, useOpenShop } from "../../shell/shop-context.ts";
import { useStand } from "../use-rehearsal.ts";

/** A panel as visitors saw it. */
export interface VisitedPanel {
  slug: string;
  document: PanelDocument;
}

/**
 * The panels of a page as the report's visitors saw them: those of the newest edition that was visited. What was not
 * there could not be used. Undefined until it is known, or if the shop has no such edition.
 */
export function useVisitedPanels(
  report: VisitReport | undefined,
  address: string | undefined,
): readonly VisitedPanel[] | undefined {
  const { shop, desk } = useOpenShop();
  const edition = report?.editions.at(-1);
  const { data: stand } = useStand(shop.slug, edition);
  const shown = useAsked(
    async () => (stand && address !== undefined ? desk.page(address, stand.pages, stand.panels[0]?.slug) : undefined),
    useMemo(() => ({ stand, address }), [stand, address]),
  );
  return useMemo(
    () =>
      stand && shown?.address === address
        ? shown?.layout.panels.flatMap(({ panel }) => {
            const found = stand.panels.find(({ slug }) => slug === panel);
            return found ? [{ slug: found.slug, document: found.document }] : [];
          })
        : undefined,
    [stand, shown, address],
  );
}
