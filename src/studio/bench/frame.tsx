import { Maximize2, Minimize2 } from "lucide-react";
import { useEffect, useRef, useState } from "react";
import { bandAt, resolve } from "../../core/settings/band.ts";
import { placementFacts } from "../../core/settings/placement.ts";
import { languagesOf } from "../../core/shop/languages.ts";
import type { Standing } from "../../storefront/stage/arrange/act.ts";
import { useOpenShop, useShopSettings } from "../shell/shop-context.ts";
import { sightFilter } from "../shell/sight.tsx";
import { useBench, usePanel, useSession } from "./bench-context.ts";
import { LanguageChoice } from "./language-choice.tsx";
import { Rail } from "./rail/rail.tsx";
import { useFrame } from "./use-frame.ts";

interface Props {
  title: string;
  /** Size of the page in CSS px, and its scale. */
  width: number;
  height: number;
  scale: number;
  /** Available width in px; a wider page scrolls. */
  room?: number;
  caption: string;
  large: boolean;
  enlarge(): void;
  bezel?: boolean;
  /** Width in px of the rail beside it while arranging; 0 for none. */
  rail?: number;
  /** Whether its page is not loaded yet. Default: it is loaded at once. */
  held?: boolean;
  /** Called when its page has come to life. */
  wakes?(): void;
}

/** Before a page has sent positions. */
const nothing: Standing = { rows: [], panels: [], slots: [] };

/** One page of the stage, with its controls below. */
export function Frame({
  title,
  width,
  height,
  scale,
  room = Number.POSITIVE_INFINITY,
  caption,
  large,
  enlarge,
  bezel = false,
  rail = 0,
  held = false,
  wakes,
}: Props) {
  const { shop } = useOpenShop();
  const { slug, session } = useBench();
  // The frame's initial page; later ones are sent by messages.
  const [address] = useState(() => session.getState().address);
  const frame = useRef<HTMLIFrameElement>(null);
  const sight = useSession((state) => state.sight);
  const limits = useShopSettings((settings) => settings.limits);
  const languages = useShopSettings((settings) => languagesOf(settings).join(" ")).split(" ");
  const band = bandAt(width, limits);
  const inDrawer = usePanel((state) => placementFacts[resolve(state.document.placement, band)].form === "drawer");
  const { drawerOpen, openDrawer, awake, standing, act, tell } = useFrame(frame, band);
  const [scrolled, setScrolled] = useState(0);
  useEffect(() => {
    if (awake) wakes?.();
  }, [awake, wakes]);
  const edge = bezel ? 6 : 0;
  const shownWidth = Math.min(room, width * scale + edge * 2);
  return (
    <figure className="flex-none">
      <div className="flex">
        {rail > 0 ? (
          <Rail
            standing={standing ?? nothing}
            band={band}
            width={rail}
            narrow={bezel}
            scale={scale}
            scrolled={scrolled - edge}
            frame={{ width: shownWidth, height: Math.max(60, height * scale) }}
            act={act}
            openGap={(at) => tell({ zt: "gap", at })}
            write={(row) => tell({ zt: "write", row })}
          />
        ) : null}
        <div
          onScroll={(event) => setScrolled(event.currentTarget.scrollLeft)}
          className={`relative overflow-x-auto overflow-y-hidden bg-white ${bezel ? "rounded-[18px] border-[6px] border-primary" : "rounded-lg border border-base-300"} shadow-[0_6px_24px_#321a3d1f]`}
          style={{ width: shownWidth, height: Math.max(60, height * scale) }}
          {...(shownWidth < width * scale
            ? { tabIndex: 0, role: "group", "aria-label": `${title}, scrolls sideways` }
            : {})}
        >
          {awake ? null : <PageShape width={shownWidth} />}
          <iframe
            ref={frame}
            title={title}
            src={
              held
                ? undefined
                : `/draft/${encodeURIComponent(shop.slug)}${address}?stage&panel=${encodeURIComponent(slug)}`
            }
            className="origin-top-left border-0"
            style={{
              ...sightFilter(sight),
              width,
              height: Math.max(60, height - (edge * 2) / scale),
              transform: `scale(${scale})`,
              // A scaled frame takes only its visible space.
              marginInlineEnd: width * (scale - 1),
            }}
          />
        </div>
      </div>
      <figcaption
        style={{ width: shownWidth, marginInlineStart: rail }}
        className="flex items-center gap-1 pt-1 text-[13px] text-quiet tabular-nums"
      >
        {caption}
        <button
          type="button"
          className="grid size-6 place-items-center rounded-md hover:bg-base-300"
          aria-label={large ? `Back to both pages` : `Enlarge the ${bezel ? "phone" : "wide page"}`}
          aria-pressed={large}
          onClick={enlarge}
        >
          {large ? <Minimize2 size={13} aria-hidden /> : <Maximize2 size={13} aria-hidden />}
        </button>
        {!bezel && languages.length > 1 ? <LanguageChoice languages={languages} /> : null}
        {inDrawer ? (
          <button
            type="button"
            className="ms-auto rounded-md px-1.5 py-0.5 font-medium text-base-content hover:bg-base-300"
            aria-pressed={drawerOpen}
            onClick={() => openDrawer(!drawerOpen)}
          >
            {drawerOpen ? "Close drawer" : "Open drawer"}
          </button>
        ) : null}
      </figcaption>
    </figure>
  );
}

/** A placeholder with a page's outline: bars, a panel at the side, products. */
const PageShape = ({ width }: { width: number }) => (
  <div className="pointer-events-none absolute inset-0 flex flex-col gap-3 bg-white" style={{ width }} aria-hidden>
    <div className="h-7 bg-base-300" />
    <div className="mx-4 h-5 w-1/3 rounded bg-base-200" />
    <div className="mx-4 flex flex-1 gap-4">
      <div className={`w-1/4 rounded bg-base-200 ${width < 300 ? "hidden" : ""}`} />
      <div className="grid flex-1 grid-cols-2 content-start gap-3">
        {[0, 1, 2, 3].map((n) => (
          <div key={n} className="h-32 rounded bg-base-200" />
        ))}
      </div>
    </div>
  </div>
);
