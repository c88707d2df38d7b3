import { useEffect, useRef } from "react";
import { type Measure, onScreen } from "../../core/findings/measure.ts";
import type { PanelDocument } from "../../core/panel/panel-schema.ts";
import type { Band } from "../../core/settings/band.ts";
import { firstScreens } from "../../core/settings/first-screen.ts";
import type { FromStage, ToStage } from "../../storefront/stage/messages.ts";
import { HiddenFrame } from "../shell/hidden-frame.tsx";

interface Props {
  shop: string;
  address: string;
  band: Band;
  /** Panels of the page. */
  panels: readonly { readonly slug: string; readonly document: PanelDocument }[];
  /** Called once with the measurements by panel, for those on this band. */
  measured(measures: ReadonlyMap<string, Measure>): void;
}

/**
 * If the page reports nothing for this many ms, the present measurements are used: a panel that isn't placed has no
 * height.
 */
const patience = 2500;

/** A hidden page on which the rows of its panels are measured, one panel after another. */
export function MeasuringFrame({ shop, address, band, panels, measured }: Props) {
  const frame = useRef<HTMLIFrameElement>(null);
  const screen = firstScreens[band];
  useEffect(() => {
    const measures = new Map<string, Measure>();
    const left = [...panels];
    let timer: ReturnType<typeof setTimeout>;
    const next = () => {
      clearTimeout(timer);
      const [one] = left;
      if (!one) return measured(measures);
      const message: ToStage = { zt: "panel", slug: one.slug, panel: one.document };
      frame.current?.contentWindow?.postMessage(message, location.origin);
      timer = setTimeout(() => {
        left.shift();
        next();
      }, patience);
    };
    const hear = ({ origin, source, data }: MessageEvent<FromStage>) => {
      if (origin !== location.origin || source !== frame.current?.contentWindow) return;
      if (data.zt === "ready") next();
      else if (data.zt === "measured") {
        const one = left.shift();
        if (one) measures.set(one.slug, onScreen(data.measure, screen.height));
        next();
      }
    };
    addEventListener("message", hear);
    timer = setTimeout(() => measured(measures), 4 * patience);
    return () => {
      clearTimeout(timer);
      removeEventListener("message", hear);
    };
  }, [panels, measured, screen]);
  return (
    <HiddenFrame
      frame={frame}
      title={`Measured on ${band}`}
      src={`/draft/${encodeURIComponent(shop)}${address}?stage`}
      width={screen.width}
      height={screen.height}
    />
  );
}
