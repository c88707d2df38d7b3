import { useCallback, useEffect, useRef, useState } from "react";
import { bandAt } from "../../core/settings/band.ts";
import { FirstHint } from "../shell/first-hint.tsx";
import { useShopSettings } from "../shell/shop-context.ts";
import { useBench, useSession } from "./bench-context.ts";
import { Frame } from "./frame.tsx";
import { widthOn } from "./page-width.ts";
import { Ruler } from "./ruler.tsx";
import type { Zoom } from "./session.ts";
import { StageBar } from "./stage-bar.tsx";
import { TrialNote } from "./trial-note.tsx";

const gap = 20;
/** Widths of the rails beside the pages while arranging; the phone's has space for handles only. */
const railWidth = 112;
const slimRailWidth = 26;
const caption = 26;

/** Minimum scale at which a page's text is readable. */
const readable = 0.62;

/** The shop's real page, wide and on a phone side by side, updated with every change. */
export function Stage() {
  const { box, room } = useRoom();
  const { session } = useBench();
  const frames = useSession((state) => state.frames);
  const zoom = useSession((state) => state.zoom);
  const pageWidth = useSession((state) => state.pageWidth);
  const phone = useSession((state) => state.screens.slim);
  const limits = useShopSettings((settings) => settings.limits);

  const arranging = useSession((state) => state.arranging);
  const [rail, slimRail] = arranging ? [railWidth, slimRailWidth] : [0, 0];
  const inner = Math.max(100, room.height - caption);
  const phoneFits = Math.min(
    inner / phone.height,
    frames === "phone" ? 1 : readable,
    (room.width - slimRail) / phone.width,
  );
  const phoneScale = scaleOf(zoom, phoneFits);
  const phoneRoom = frames === "wide" ? 0 : phone.width * phoneScale + 12 + gap + slimRail;
  const wideFits = Math.min(1, Math.max(0.1, (room.width - phoneRoom - rail) / pageWidth));
  const wideScale = scaleOf(zoom, wideFits);
  const wideRoom = Math.max(160, room.width - phoneRoom - rail);
  const { drawn, draw } = useDrawn();
  const enlarge = (which: "wide" | "phone") => session.setState({ frames: frames === which ? "both" : which });

  return (
    <>
      <StageBar />
      <Ruler />
      <TrialNote />
      <FirstHint name="page" className="mx-5 mt-1" />
      <FirstHint name="publish" className="mx-5 mt-1" />
      <div ref={box} className="mx-5 mb-2 mt-1 flex min-h-0 flex-1 items-start gap-5 overflow-auto">
        {frames === "phone" ? null : (
          <Frame
            title={`Wide page, ${pageWidth} px`}
            width={pageWidth}
            height={inner / wideScale}
            scale={wideScale}
            rail={rail}
            room={frames === "wide" ? room.width - rail : wideRoom}
            caption={`${capital(bandAt(pageWidth, limits))} · ${pageWidth} px · shown at ${Math.round(wideScale * 100)}%`}
            large={frames === "wide"}
            enlarge={() => enlarge("wide")}
            wakes={draw}
          />
        )}
        {frames === "wide" ? null : (
          <Frame
            title={`Phone, ${phone.width} px`}
            width={phone.width}
            height={Math.min(phone.height, inner / phoneScale)}
            scale={phoneScale}
            caption={`${capital(bandAt(phone.width, limits))} · ${phone.width} px · ${Math.round(phoneScale * 100)}%`}
            large={frames === "phone"}
            enlarge={() => enlarge("phone")}
            rail={slimRail}
            held={frames === "both" && !drawn}
            bezel
          />
        )}
      </div>
      {bandAt(pageWidth, limits) === "wide" ? <MediumFrame /> : null}
    </>
  );
}

/** Maximum time in ms that the phone waits for the wide page. */
const longestHold = 3000;

/** Whether the wide page is drawn. Both at once would each take twice as long, since they share a thread. */
function useDrawn() {
  const [drawn, setDrawn] = useState(false);
  const draw = useCallback(() => setDrawn(true), []);
  useEffect(() => {
    const timer = setTimeout(draw, longestHold);
    return () => clearTimeout(timer);
  }, [draw]);
  return { drawn, draw };
}

/** The scale of a page. @param fits the scale at which its whole width is visible */
function scaleOf(zoom: Zoom, fits: number): number {
  if (zoom === "half") return 0.5;
  if (zoom === "actual") return 1;
  return zoom === "read" ? Math.max(readable, fits) : fits;
}

/** The size of an element in px, updated when it changes. */
function useRoom() {
  const box = useRef<HTMLDivElement>(null);
  const [room, setRoom] = useState({ width: 760, height: 600 });
  useEffect(() => {
    if (!box.current) return;
    const watch = new ResizeObserver(([entry]) => {
      if (entry) setRoom({ width: entry.contentRect.width, height: entry.contentRect.height });
    });
    watch.observe(box.current);
    return () => watch.disconnect();
  }, []);
  return { box, room };
}

/** A hidden page of medium width, only while its heights are viewed. */
function MediumFrame() {
  const wanted = useSession((state) => state.measuring);
  const { width, height } = useSession((state) => state.screens.medium);
  const limits = useShopSettings((settings) => settings.limits);
  if (!wanted) return null;
  const page = widthOn("medium", width, limits);
  return (
    <div className="pointer-events-none absolute -z-10 size-0 overflow-hidden opacity-0" aria-hidden inert>
      <Frame
        title="Medium page, measured only"
        width={page}
        height={height}
        scale={1}
        caption=""
        large={false}
        enlarge={() => {}}
      />
    </div>
  );
}

const capital = (text: string) => text.slice(0, 1).toUpperCase() + text.slice(1);
