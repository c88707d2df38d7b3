import type { PanelDocument } from "../../core/panel/panel-schema.ts";
import type { Banded } from "../../core/settings/band.ts";
import type { Placement } from "../../core/settings/placement.ts";
import { useBench, usePanel, useSession } from "./bench-context.ts";

/** Where the panel stands on the page that is on the stage: as that page has it, or by itself. */
export function usePlacement(): Pick<PanelDocument, "behaviour"> & {
  placement: Banded<Placement>;
  /** The page has it otherwise than the panel. */
  byPage: boolean;
} {
  const { slug } = useBench();
  const own = usePanel((state) => state.document.placement);
  const behaviour = usePanel((state) => state.document.behaviour);
  const at = useSession(({ shown }) => shown?.panels.find((one) => one.slug === slug)?.at);
  return { behaviour, placement: at ?? own, byPage: at !== undefined };
}
