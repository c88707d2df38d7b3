import { useEffect, useRef, useState } from "react";
import { pageName } from "../shell/page-names.ts";
import { useAllPages } from "../shell/shop-context.ts";
import { type EditionState, editionBase, stateName } from "./use-editions.ts";

const widths = { wide: 1280, slim: 390 } as const;
type Width = keyof typeof widths;

/** Interval of checking the two pages for new choices, in ms. */
const beat = 300;

/** The same page before and after, live; a choice on one is made on the other too. */
export function TwoPages({ shop, from, to }: { shop: string; from: EditionState; to: EditionState }) {
  const [width, setWidth] = useState<Width>("wide");
  const [address, setAddress] = useState("/");
  const pages = useAllPages();
  const before = useRef<HTMLIFrameElement>(null);
  const after = useRef<HTMLIFrameElement>(null);
  const bases = [editionBase(shop, from), editionBase(shop, to)] as const;
  const [first, second] = bases;
  useEffect(() => {
    let shown = address;
    // A page that is still loading reports its previous place: only changes it made itself count.
    const seen = new Map<string, string>();
    const timer = setInterval(() => {
      const frames = [
        [before.current, first, after.current, second],
        [after.current, second, before.current, first],
      ] as const;
      for (const [frame, base, other, otherBase] of frames) {
        const place = placeIn(frame, base);
        if (place === undefined || place === (seen.get(base) ?? address)) continue;
        seen.set(base, place);
        if (place === shown) continue;
        shown = place;
        other?.contentWindow?.location.replace(otherBase + place);
        break;
      }
    }, beat);
    return () => clearInterval(timer);
  }, [first, second, address]);
  return (
    <div className="flex min-h-0 flex-1 flex-col bg-sand/60">
      <div className="flex flex-none items-center gap-3 px-4 py-2 text-[13px]">
        <label className="flex items-center gap-2 text-quiet">
          Page
          <select
            className="select select-sm w-52 text-base-content"
            value={address}
            onChange={(event) => setAddress(event.target.value)}
          >
            {pages.map((page) => (
              <option key={page.address} value={page.address}>
                {pageName(page)}
              </option>
            ))}
          </select>
        </label>
        <fieldset className="join" aria-label="Width of the pages">
          {(Object.keys(widths) as Width[]).map((one) => (
            <button
              key={one}
              type="button"
              className={`btn join-item btn-xs ${one === width ? "btn-primary" : ""}`}
              aria-pressed={one === width}
              onClick={() => setWidth(one)}
            >
              {one}
            </button>
          ))}
        </fieldset>
      </div>
      <div className="grid min-h-0 flex-1 grid-cols-2 gap-3 px-4 pb-3">
        {([before, after] as const).map((frame, side) => (
          <Framed
            key={`${bases[side]} ${address}`}
            frame={frame}
            title={stateName(side === 0 ? from : to)}
            src={bases[side] + address}
            width={widths[width]}
          />
        ))}
      </div>
    </div>
  );
}

/** A page's place within its state: its address and selection. Undefined while it is elsewhere. */
function placeIn(frame: HTMLIFrameElement | null, base: string): string | undefined {
  const at = frame?.contentWindow?.location;
  return at?.pathname.startsWith(base) ? at.pathname.slice(base.length) + at.search : undefined;
}

/** A page at its own width, scaled down to fit. */
function Framed({
  frame,
  title,
  src,
  width,
}: {
  frame: React.RefObject<HTMLIFrameElement | null>;
  title: string;
  src: string;
  width: number;
}) {
  const room = useRef<HTMLDivElement>(null);
  const [size, setSize] = useState({ width: 0, height: 0 });
  useEffect(() => {
    if (!room.current) return;
    const watch = new ResizeObserver(([entry]) => entry && setSize(entry.contentRect));
    watch.observe(room.current);
    return () => watch.disconnect();
  }, []);
  const scale = size.width === 0 ? 1 : Math.min(1, size.width / width);
  return (
    <figure className="flex min-h-0 flex-col gap-1">
      <figcaption className="text-[13px] font-medium">{title}</figcaption>
      <div ref={room} className="relative min-h-0 flex-1 overflow-hidden">
        <iframe
          ref={frame}
          title={title}
          src={src}
          className="absolute top-0 rounded-lg border border-hair bg-white shadow-md"
          style={{
            width,
            height: size.height / scale,
            insetInlineStart: Math.max(0, (size.width - width * scale) / 2),
            transform: `scale(${scale})`,
            transformOrigin: "top left",
          }}
        />
      </div>
    </figure>
  );
}
