import type { PanelDocument } from "../../core/panel/panel-schema.ts";
import type { Banded } from "../../core/settings/band.ts";
import type { Placement } from "../../core/settings/placement.ts";
import { useBench, usePanel, useSession } from "./bench-context.ts";

/** The panel's placement on the stage's page: the page's override, or its own. */
export function usePlacement(): Pick<PanelDocument, "behaviour"> & {
  placement: Banded<Placement>;
  /** The page overrides the panel's placement. */
  byPage: boolean;
} {
  const { slug } = useBench();
  const own = usePanel((state) => state.document.placement);
  const behaviour = usePanel((state) => state.document.behaviour);
  const at = useSession(({ shown }) => shown?.panels.find((one) => one.slug === slug)?.at);
  return { behaviour, placement: at ?? own, byPage: at !== undefined };
}
