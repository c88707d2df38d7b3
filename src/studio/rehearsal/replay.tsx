import { useEffect, useRef, useState } from "react";
import { emptySelection } from "../../core/engine/selection.ts";
import type { Walk } from "../../core/rehearsal/walk.ts";
import type { Band } from "../../core/settings/band.ts";
import type { FromStage, ToStage } from "../../storefront/stage/messages.ts";
import { seconds } from "./in-words.ts";

interface Props {
  shop: string;
  address: string;
  band: Band;
  walk: Walk;
  titleOf(row: string): string;
  ending: string;
}

const sizes: Record<Band, { width: number; height: number }> = {
  wide: { width: 1280, height: 800 },
  medium: { width: 834, height: 800 },
  slim: { width: 390, height: 700 },
};
/** Maximum width of the drawn page. */
const room = 500;

/** The walk of one shopper, move by move, on the real page. */
export function Replay({ shop, address, band, walk, titleOf, ending }: Props) {
  const frame = useRef<HTMLIFrameElement>(null);
  const [at, setAt] = useState(0);
  const [awake, setAwake] = useState(false);
  const { width, height } = sizes[band];
  const scale = Math.min(1, room / width);
  useEffect(() => {
    const hear = (event: MessageEvent<FromStage>) => {
      if (event.origin !== location.origin || event.source !== frame.current?.contentWindow) return;
      if (event.data.zt === "ready") setAwake(true);
    };
    addEventListener("message", hear);
    return () => removeEventListener("message", hear);
  }, []);
  const selection = walk.moves[at - 1]?.selection ?? emptySelection;
  useEffect(() => {
    if (!awake) return;
    const message: ToStage = { zt: "selection", selection };
    frame.current?.contentWindow?.postMessage(message, location.origin);
  }, [awake, selection]);
  const steps = [
    { words: "Comes to the page", after: walk.moves[0]?.before ?? walk.left, seconds: undefined },
    ...walk.moves.map((move) => ({
      words: `${titleOf(move.row)}: ${move.words}`,
      after: move.after,
      seconds: move.seconds,
    })),
  ];
  return (
    <div className="grid grid-cols-[210px_minmax(0,1fr)] items-start gap-4">
      <div>
        <ol className="flex flex-col gap-1" aria-label="Moves">
          {steps.map((step, place) => (
            <li key={place}>
              <button
                type="button"
                aria-current={place === at ? "step" : undefined}
                className={`w-full rounded-lg border px-2 py-1.5 text-start text-[13px] ${place === at ? "border-primary bg-base-100" : "border-transparent hover:bg-base-200"}`}
                onClick={() => setAt(place)}
              >
                <span className="block font-medium">{step.words}</span>
                <span className="text-quiet tabular-nums">
                  {step.after.toLocaleString("en")} {step.after === 1 ? "product" : "products"}
                  {step.seconds === undefined ? "" : `, after ${seconds(step.seconds)} s`}
                </span>
              </button>
            </li>
          ))}
        </ol>
        <p className="mt-2 px-2 text-[13px]">
          {ending[0]?.toUpperCase()}
          {ending.slice(1)} after {seconds(walk.seconds)} s, {Math.round(walk.px).toLocaleString("en")} px scrolled.
        </p>
        <div className="mt-2 flex gap-2 px-2">
          <button type="button" className="btn btn-sm" disabled={at === 0} onClick={() => setAt(at - 1)}>
            Back
          </button>
          <button
            type="button"
            className="btn btn-primary btn-sm"
            disabled={at === walk.moves.length}
            onClick={() => setAt(at + 1)}
          >
            Next move
          </button>
        </div>
      </div>
      <div
        className="overflow-hidden rounded-lg border border-hair"
        style={{ width: width * scale, height: height * scale }}
      >
        <iframe
          ref={frame}
          title="The page after this move"
          src={`/draft/${encodeURIComponent(shop)}${address === "/" ? "/" : address}?stage`}
          style={{ width, height, transform: `scale(${scale})`, transformOrigin: "0 0" }}
        />
      </div>
    </div>
  );
}
