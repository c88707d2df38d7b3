import { useEffect, useRef } from "react";
import { toast } from "sonner";
import { createStore, useStore } from "zustand";
import { type Band, bands, resolve } from "../../core/settings/band.ts";
import { hasButton } from "../../core/settings/placement.ts";
import type { FromStage, ToStage } from "../../storefront/stage/messages.ts";
import { HiddenFrame } from "../shell/hidden-frame.tsx";
import { saveFile } from "../shell/save-file.ts";
import { useOpenShop, useShopSettings } from "../shell/shop-context.ts";
import { useBench, useSession } from "./bench-context.ts";
import { activeCss, customProperties, loadedFonts } from "./page-css.ts";
import { widthOn } from "./page-width.ts";
import { usePlacement } from "./use-placement.ts";

/** The bands that are still to be taken, and the pictures so far. */
const taking = createStore<{ left: readonly Band[]; files: ReadonlyMap<string, Uint8Array> }>(() => ({
  left: [],
  files: new Map(),
}));

/** Downloads a PNG of the open panel on each band, in one ZIP. */
export function takePictures(): void {
  toast.loading("Taking pictures of the panel…", { id: toastId });
  taking.setState({ left: bands, files: new Map() });
}

const toastId = "panel-pictures";

/** Longest wait for the panel to be laid out and for its pictures, in ms. */
const patience = 10_000;
/** Time without a change after which a panel is at rest, in ms: a drawer slides in, and counts follow the page. */
const settle = 900;
/** Around the panel, in CSS px. */
const space = 16;
/** Image pixels per CSS px. */
const pixelRatio = 2;

const pause = (ms: number) => new Promise((done) => setTimeout(done, ms));

/** The panel in a frame, once it is laid out and at rest; undefined if it isn't shown there. */
async function shownPanel(frame: Window, slug: string): Promise<HTMLElement | undefined> {
  const since = performance.now();
  let last = { height: -1, since };
  while (performance.now() - since < patience) {
    const found = [...frame.document.querySelectorAll<HTMLElement>(`.zt-panel[data-panel="${CSS.escape(slug)}"]`)].find(
      (one) => one.getClientRects().length > 0,
    );
    const height = found?.getBoundingClientRect().height ?? -1;
    const now = performance.now();
    if (height !== last.height) last = { height, since: now };
    const isBusy = frame.document.querySelector('[aria-busy="true"]') !== null;
    const isDrawn = found && [...found.querySelectorAll("img")].every(({ complete }) => complete);
    if (isDrawn && !isBusy && now - last.since > settle) {
      await frame.document.fonts.ready;
      return found;
    }
    await pause(100);
  }
  return undefined;
}

/** The first background around an element that isn't transparent. */
function groundOf(element: HTMLElement, frame: Window): string {
  for (let around: HTMLElement | null = element; around; around = around.parentElement) {
    const { backgroundColor } = frame.getComputedStyle(around);
    if (!/^rgba\(.*, 0\)$/.test(backgroundColor)) return backgroundColor;
  }
  return "white";
}

/** A panel as a PNG with some space around it. */
async function pictureOf(panel: HTMLElement, frame: Window): Promise<Blob | null> {
  // Loaded only when somebody takes pictures.
  const { toBlob } = await import("html-to-image");
  // It copies computed styles, which handles of sliders and drawings don't show; these follow the style sheet.
  const sheet = frame.document.createElement("style");
  sheet.textContent = `${activeCss(frame)}\n.zt-panel { ${customProperties(panel, frame)} }`;
  panel.append(sheet);
  const { width, height } = panel.getBoundingClientRect();
  try {
    return await toBlob(panel, {
      pixelRatio,
      backgroundColor: groundOf(panel, frame),
      fontEmbedCSS: await loadedFonts(frame),
      width: Math.ceil(width) + 2 * space,
      height: Math.ceil(height) + 2 * space,
      style: {
        boxSizing: "content-box",
        margin: "0",
        padding: `${space}px`,
        width: `${width}px`,
        height: `${height}px`,
      },
    });
  } finally {
    sheet.remove();
  }
}

/** A hidden page on which the panel's pictures are taken, band by band. */
export function PictureTaker() {
  const band = useStore(taking, ({ left }) => left[0]);
  return band ? <Taker key={band} band={band} /> : null;
}

function Taker({ band }: { band: Band }) {
  const { shop } = useOpenShop();
  const { panel, slug, session } = useBench();
  const { address } = session.getState();
  const { placement } = usePlacement();
  const opens = hasButton(resolve(placement, band));
  const limits = useShopSettings((settings) => settings.limits);
  const screen = useSession((state) => state.screens[band]);
  const frame = useRef<HTMLIFrameElement>(null);
  useEffect(() => {
    let over = false;
    const page = () => frame.current?.contentWindow ?? undefined;
    const tell = (message: ToStage) => page()?.postMessage(message, location.origin);
    const take = async () => {
      const { shown, look, language, selection } = session.getState();
      tell({ zt: "limits", limits });
      tell({ zt: "panel", slug, panel: panel.getState().document });
      if (shown) tell({ zt: "page", ...shown });
      if (look !== undefined) tell({ zt: "look", css: look });
      tell({ zt: "language", language });
      tell({ zt: "selection", selection });
      await pause(settle);
      if (opens) tell({ zt: "drawer", open: true });
      const at = page();
      const drawn = at && (await shownPanel(at, slug));
      const blob = drawn && (await pictureOf(drawn, at));
      if (over) return;
      const bytes = blob && new Uint8Array(await blob.arrayBuffer());
      await next(bytes ? [`${slug}-${band}.png`, bytes] : undefined);
    };
    const next = async (file: [string, Uint8Array] | undefined) => {
      const { left, files } = taking.getState();
      // With the schemas of a whole folder, which the view does without.
      const zip = left.length > 1 ? undefined : await import("../../core/shop/archive/zip.ts");
      const all = new Map(file ? [...files, file] : files);
      taking.setState({ left: left.slice(1), files: all });
      if (!zip) return;
      if (all.size === 0) {
        const nowhere = "This panel isn’t shown on this page, so there is nothing to take a picture of.";
        toast.error(nowhere, { id: toastId });
        return;
      }
      toast.dismiss(toastId);
      saveFile(`${slug}-pictures.zip`, zip.zipFolder(all), "application/zip");
    };
    const hear = ({ origin, source, data }: MessageEvent<FromStage>) => {
      if (origin !== location.origin || source !== page() || data.zt !== "ready") return;
      take().catch(() => {
        if (over) return;
        taking.setState({ left: [] });
        toast.error("The pictures couldn’t be taken. Reload the page and try again.", { id: toastId });
      });
    };
    addEventListener("message", hear);
    return () => {
      over = true;
      removeEventListener("message", hear);
    };
  }, [band, limits, panel, slug, session, opens]);
  return (
    <HiddenFrame
      frame={frame}
      title={`Picture on ${band}`}
      src={`/draft/${encodeURIComponent(shop.slug)}${address}?stage&panel=${encodeURIComponent(slug)}`}
      width={widthOn(band, screen.width, limits)}
      height={screen.height}
    />
  );
}
