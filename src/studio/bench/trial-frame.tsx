import { useEffect, useRef } from "react";
import type { Band } from "../../core/settings/band.ts";
import type { FromStage, ToStage } from "../../storefront/stage/messages.ts";
import { HiddenFrame } from "../shell/hidden-frame.tsx";
import { rememberShift } from "../shell/shift-results.ts";
import { useOpenShop, useShopSettings } from "../shell/shop-context.ts";
import { useBench, useSession } from "./bench-context.ts";
import { widthOn } from "./page-width.ts";

/** A hidden page on which the panel's rows are tried, band by band. */
export function TrialFrame() {
  const [band] = useSession((state) => state.trials);
  return band ? <Trial key={band} band={band} /> : null;
}

function Trial({ band }: { band: Band }) {
  const { shop } = useOpenShop();
  const { panel, slug, session } = useBench();
  const { address } = session.getState();
  const limits = useShopSettings((settings) => settings.limits);
  const screen = useSession((state) => state.screens[band]);
  const frame = useRef<HTMLIFrameElement>(null);
  useEffect(() => {
    const tell = (message: ToStage) => frame.current?.contentWindow?.postMessage(message, location.origin);
    const tried = panel.getState().document;
    const hear = ({ origin, source, data }: MessageEvent<FromStage>) => {
      if (origin !== location.origin || source !== frame.current?.contentWindow) return;
      if (data.zt === "ready") {
        const { shown } = session.getState();
        tell({ zt: "limits", limits });
        tell({ zt: "panel", slug, panel: tried });
        if (shown) tell({ zt: "page", ...shown });
        tell({ zt: "trial" });
      } else if (data.zt === "tried") {
        rememberShift(shop.slug, address, Math.max(0, ...data.shifts.map(({ felt }) => felt)));
        session.setState(({ shifts, trials }) => ({
          shifts: { ...shifts, [band]: { of: tried, rows: data.shifts } },
          trials: trials.slice(1),
        }));
      }
    };
    addEventListener("message", hear);
    return () => removeEventListener("message", hear);
  }, [band, limits, panel, slug, session, shop.slug, address]);
  return (
    <HiddenFrame
      frame={frame}
      title={`Trial on ${band}`}
      src={`/draft/${encodeURIComponent(shop.slug)}${address}?stage&panel=${encodeURIComponent(slug)}`}
      width={widthOn(band, screen.width, limits)}
      height={screen.height}
    />
  );
}
