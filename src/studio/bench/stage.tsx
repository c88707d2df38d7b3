import { Maximize2, Minimize2 } from "lucide-react";
import { useCallback, useEffect, useRef, useState } from "react";
import { fitSelection, type Selection } from "../../core/match/selection.ts";
import { bandAt, resolve } from "../../core/panel/bands.ts";
import { engineFacets } from "../../core/panel/document.ts";
import type { FromStage, ToStage } from "../../storefront/stage.ts";
import { useOpenShop } from "../shell/shop-context.ts";
import { useBench, usePanel, useSession } from "./bench-context.ts";
import { Ruler } from "./ruler.tsx";

const phone = { width: 390, height: 844 };
const gap = 20;
const caption = 26;

/** The shop's real page, wide and on a phone side by side, fed with every change. */
export function Stage({ slug }: { slug: string }) {
  const box = useRef<HTMLDivElement>(null);
  const [room, setRoom] = useState({ width: 760, height: 600 });
  const [large, setLarge] = useState<"wide" | "phone" | undefined>(undefined);
  const pageWidth = useSession((state) => state.pageWidth);
  const limits = usePanel((state) => state.document.limits);
  useEffect(() => {
    if (!box.current) return;
    const watch = new ResizeObserver(([{ contentRect }]) => setRoom({ width: contentRect.width, height: contentRect.height }));
    watch.observe(box.current);
    return () => watch.disconnect();
  }, []);

  const inner = Math.max(100, room.height - caption);
  const phoneScale = Math.min(inner / phone.height, large === "phone" ? 1 : 0.58, room.width / phone.width);
  const phoneRoom = large === "wide" ? 0 : phone.width * phoneScale + 12 + gap;
  const wideScale = Math.min(1, Math.max(0.1, (room.width - phoneRoom) / pageWidth));
  const enlarge = (which: "wide" | "phone") => setLarge(large === which ? undefined : which);

  return (
    <>
      <Ruler />
      <div ref={box} className="mx-5 mb-2 mt-1 flex min-h-0 flex-1 items-start gap-5 overflow-hidden">
        {large === "phone" && room.width - phoneRoom < 200 ? null : (
          <Frame
            slug={slug}
            title={`Wide page, ${pageWidth} px`}
            width={pageWidth}
            height={inner / wideScale}
            scale={wideScale}
            caption={`${capital(bandAt(pageWidth, limits))} · ${pageWidth} px · shown at ${Math.round(wideScale * 100)} %`}
            large={large === "wide"}
            enlarge={() => enlarge("wide")}
          />
        )}
        {large === "wide" ? null : (
          <Frame
            slug={slug}
            title={`Phone, ${phone.width} px`}
            width={phone.width}
            height={Math.min(phone.height, inner / phoneScale)}
            scale={phoneScale}
            caption={`${capital(bandAt(phone.width, limits))} · ${phone.width} px · ${Math.round(phoneScale * 100)} %`}
            large={large === "phone"}
            enlarge={() => enlarge("phone")}
            bezel
          />
        )}
      </div>
      {bandAt(pageWidth, limits) === "wide" ? <MediumFrame slug={slug} width={Math.round((limits.medium + limits.wide) / 2)} /> : null}
    </>
  );
}

/** A page of medium width out of sight, only to be measured while someone wants to know. */
function MediumFrame({ slug, width }: { slug: string; width: number }) {
  const wanted = useSession((state) => state.measuring);
  if (!wanted) return null;
  return (
    <div className="pointer-events-none absolute -z-10 size-0 overflow-hidden opacity-0" aria-hidden inert>
      <Frame slug={slug} title="Medium page, measured only" width={width} height={800} scale={1} caption="" large={false} enlarge={() => {}} />
    </div>
  );
}

interface FrameProps {
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

function Frame({ slug, title, width, height, scale, caption, large, enlarge, bezel = false }: FrameProps) {
  const { shop } = useOpenShop();
  const { panel, session } = useBench();
  const frame = useRef<HTMLIFrameElement>(null);
  const [drawerOpen, setDrawerOpen] = useState(false);
  const inDrawer = usePanel((state) => resolve(state.document.placement, bandAt(width, state.document.limits)) === "drawer");
  const languages = usePanel((state) => state.document.languages);
  const tell = useCallback((message: ToStage) => frame.current?.contentWindow?.postMessage(message, location.origin), []);

  useEffect(() => {
    const hear = (event: MessageEvent<FromStage>) => {
      if (event.origin !== location.origin || event.source !== frame.current?.contentWindow) return;
      const message = event.data;
      if (message.zt === "ready") {
        tell({ zt: "panel", panel: panel.getState().document });
        const { selection, language } = session.getState();
        tell({ zt: "selection", selection });
        if (language !== "en") tell({ zt: "language", language });
        setDrawerOpen(false);
      } else if (message.zt === "drawer") setDrawerOpen(message.open);
      else if (message.zt === "measured") session.setState(({ measures }) => ({ measures: { ...measures, [message.band]: message.measure } }));
      else if (message.zt === "selection") choose(session, message.selection);
      else if (message.zt === "point") session.setState({ pointed: message.row });
    };
    addEventListener("message", hear);
    const stopPanel = panel.subscribe((now, before) => {
      if (now.document === before.document) return;
      tell({ zt: "panel", panel: now.document });
      const { selection } = session.getState();
      const still = fitSelection(selection, engineFacets(now.document, "wide"));
      if (JSON.stringify(still) !== JSON.stringify(selection)) session.setState({ selection: still });
    });
    const stopSession = session.subscribe((now, before) => {
      if (now.selection !== before.selection) tell({ zt: "selection", selection: now.selection });
      if (now.language !== before.language) tell({ zt: "language", language: now.language });
      if (now.marked !== before.marked) tell({ zt: "mark", row: now.marked });
    });
    return () => {
      removeEventListener("message", hear);
      stopPanel();
      stopSession();
    };
  }, [panel, session, tell]);

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
      <figcaption style={{ width: width * scale + edge * 2 }} className="flex items-center gap-1 pt-1 text-[12px] text-quiet tabular-nums">
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
            onClick={() => tell({ zt: "drawer", open: !drawerOpen })}
          >
            {drawerOpen ? "Close drawer" : "Open drawer"}
          </button>
        ) : null}
      </figcaption>
    </figure>
  );
}

/** The language that both pages are shown in. */
function LanguageChoice({ languages }: { languages: readonly string[] }) {
  const { session } = useBench();
  const language = useSession((state) => state.language);
  return (
    <select
      className="select select-xs ms-auto w-20"
      aria-label="Language of the pages"
      value={language}
      onChange={(event) => session.setState({ language: event.target.value })}
    >
      {["en", ...languages.filter((one) => one !== "en")].map((one) => (
        <option key={one} value={one}>
          {one}
        </option>
      ))}
    </select>
  );
}

/** What is chosen, unless it is what was chosen already. */
function choose(session: ReturnType<typeof useBench>["session"], selection: Selection): void {
  if (JSON.stringify(session.getState().selection) !== JSON.stringify(selection)) session.setState({ selection });
}

const capital = (text: string) => text[0].toUpperCase() + text.slice(1);
