import { Maximize2, Minimize2 } from "lucide-react";
import { useRef } from "react";
import { bandAt, resolve } from "../../core/band/band.ts";
import { useOpenShop, useShopSettings } from "../shell/shop-context.ts";
import { usePanel } from "./bench-context.ts";
import { LanguageChoice } from "./language-choice.tsx";
import { useFrame } from "./use-frame.ts";

interface Props {
  slug: string;
  title: string;
  /** Size of the page in CSS px, and the scale at which it is shown. */
  width: number;
  height: number;
  scale: number;
  caption: string;
  large: boolean;
  enlarge(): void;
  bezel?: boolean;
}

/** One page of the stage, with what can be done to it below. */
export function Frame({ slug, title, width, height, scale, caption, large, enlarge, bezel = false }: Props) {
  const { shop } = useOpenShop();
  const frame = useRef<HTMLIFrameElement>(null);
  const limits = useShopSettings((settings) => settings.limits);
  const languages = useShopSettings((settings) => settings.languages);
  const band = bandAt(width, limits);
  const inDrawer = usePanel((state) => resolve(state.document.placement, band) === "drawer");
  const { drawerOpen, openDrawer } = useFrame(frame, band);
  const edge = bezel ? 6 : 0;
  return (
    <figure className="flex-none">
      <div
        className={`overflow-hidden bg-white ${bezel ? "rounded-[18px] border-[6px] border-primary" : "rounded-lg border border-base-300"} shadow-[0_6px_24px_#321a3d1f]`}
        style={{ width: width * scale + edge * 2, height: Math.max(60, height * scale) }}
      >
        <iframe
          ref={frame}
          title={title}
          src={`/shop/${encodeURIComponent(shop.slug)}/?stage&panel=${encodeURIComponent(slug)}`}
          className="origin-top-left border-0"
          style={{ width, height: Math.max(60, height - (edge * 2) / scale), transform: `scale(${scale})` }}
        />
      </div>
      <figcaption
        style={{ width: width * scale + edge * 2 }}
        className="flex items-center gap-1 pt-1 text-[12px] text-quiet tabular-nums"
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
        {!bezel && languages.length > 0 ? <LanguageChoice languages={languages} /> : null}
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
