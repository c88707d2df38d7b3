import { useEffect, useState } from "react";
import type { PageFigures } from "../../core/findings/page/figures.ts";
import type { PageRef } from "../../core/page/page-list.ts";
import type { PanelDocument } from "../../core/panel/panel-schema.ts";
import { useOpenShop, usePages } from "../shell/shop-context.ts";

/** Number of pages requested at once: few enough for the first figures to come soon. */
const atOnce = 12;

/** The figures of pages, a few at a time; previous ones stay until then. */
export function useFigures(
  list: readonly PageRef[],
  panels: ReadonlyMap<string, PanelDocument>,
): { figures: ReadonlyMap<string, PageFigures>; done: number } {
  const { desk, engine } = useOpenShop();
  const pages = usePages((document) => document);
  const [figures, setFigures] = useState<ReadonlyMap<string, PageFigures>>(new Map());
  const [done, setDone] = useState(0);
  // biome-ignore lint/correctness/useExhaustiveDependencies: a new engine is a new state of the catalogue
  useEffect(() => {
    let over = false;
    const work = async () => {
      for (let at = 0; at < list.length && !over; at += atOnce) {
        const addresses = list.slice(at, at + atOnce).map(({ address }) => address);
        const some = await desk.figures(addresses, pages, panels);
        if (over) return;
        setFigures((now) => new Map([...now, ...some.map((one) => [one.address, one] as const)]));
        setDone(Math.min(list.length, at + atOnce));
      }
    };
    setDone(0);
    work().catch((error) => console.error(error));
    return () => {
      over = true;
    };
  }, [list, panels, pages, desk, engine]);
  return { figures, done };
}
