import { useEffect, useMemo, useRef, useState } from "react";
import type { HandoffPreview } from "../../core/api/handoff.ts";
import type { PanelHeights } from "../../core/api/panel-heights.ts";
import { bands } from "../../core/settings/band.ts";
import { firstScreens } from "../../core/settings/first-screen.ts";
import { HiddenFrame } from "../shell/hidden-frame.tsx";
import { panelNames } from "./panel-names.ts";
import { editionBase } from "./use-editions.ts";

type Heights = PanelHeights["heights"];

/** Interval of asking whether a page is ready, in ms, and how often before it is given up. */
const beat = 50;
const patience = 300;

interface Props {
  shop: string;
  edition: number;
  pages: HandoffPreview["pages"];
  /** Called once with the heights of all panels; undefined if a page did not become ready. */
  done(heights: Heights | undefined): void;
}

/**
 * Opens the first page with each panel of an edition out of sight, on each band, one page after another, and measures
 * the height that the panels take up.
 */
export function MeasureHeights({ shop, edition, pages, done }: Props) {
  const frame = useRef<HTMLIFrameElement>(null);
  const visits = useMemo(() => visitsOf(pages), [pages]);
  const [at, setAt] = useState(0);
  const [heights] = useState<Heights>({});
  const visit = visits[at];
  useEffect(() => {
    if (!visit) {
      done(heights);
      return;
    }
    let tries = 0;
    const timer = setInterval(() => {
      const page = frame.current?.contentDocument;
      tries += 1;
      if (page?.documentElement?.hasAttribute("data-ready") && page.fonts.status === "loaded") {
        clearInterval(timer);
        for (const panel of visit.panels) {
          heights[panel] ??= { wide: 0, medium: 0, slim: 0 };
          heights[panel][visit.band] = heightOf(page, panel);
        }
        setAt(at + 1);
      } else if (tries > patience) {
        clearInterval(timer);
        done(undefined);
      }
    }, beat);
    return () => clearInterval(timer);
  }, [visit, at, heights, done]);
  if (!visit) return null;
  const { width, height } = firstScreens[visit.band];
  return (
    <HiddenFrame
      key={at}
      frame={frame}
      title={`Measured on ${visit.band}`}
      src={editionBase(shop, edition) + visit.address}
      width={width}
      height={height}
    />
  );
}

/** The pages to open: those that are the first with some panel, on each band. */
function visitsOf(pages: HandoffPreview["pages"]) {
  const first = new Map<string, string[]>();
  const seen = new Set<string>();
  for (const { address, pieces } of pages)
    for (const panel of panelNames(pieces)) {
      if (seen.has(panel)) continue;
      seen.add(panel);
      first.set(address, [...(first.get(address) ?? []), panel]);
    }
  return [...first].flatMap(([address, panels]) => bands.map((band) => ({ address, panels, band })));
}

/** The height that a panel takes up on its page: a floating button takes up none, like the panel in a closed drawer. */
function heightOf(page: Document, panel: string): number {
  return [...page.querySelectorAll(`[data-of="${CSS.escape(panel)}"]`)]
    .filter((one) => one.getClientRects().length > 0 && getComputedStyle(one).position !== "fixed")
    .reduce((sum, one) => sum + Math.round(one.getBoundingClientRect().height), 0);
}
