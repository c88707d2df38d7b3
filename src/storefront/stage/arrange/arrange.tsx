import { render } from "preact";
import { useEffect, useLayoutEffect, useState } from "preact/hooks";
import { resolve } from "../../../core/band/band.ts";
import { displays } from "../../../core/display/displays.ts";
import { rowLabel } from "../../../core/panel/panel.ts";
import type { Row } from "../../../core/panel/panel-schema.ts";
import type { PageState } from "../../page/page-state.ts";
import type { PageStore } from "../../page/store.ts";
import type { ArrangeAct } from "./act.ts";
import type { RowBox } from "./geometry.ts";
import { PanelHandle } from "./panel-handle.tsx";
import { RowFrame } from "./row-frame.tsx";

type Tell = (act: ArrangeAct) => void;

/** What ends arranging on this page. */
let end: (() => void) | undefined;

/**
 * Turns arranging on or off. While it is on the panel that is worked on answers to no click of a shopper's; its rows
 * have handles over them instead.
 * @param slug the panel that is worked on
 */
export function arrange(on: boolean, store: PageStore, slug: string, tell: Tell): void {
  end?.();
  end = undefined;
  if (!on) return;
  const root = document.createElement("div");
  root.className = "zt-arrange";
  document.body.append(root);
  document.documentElement.dataset.arranging = "";
  render(<Overlay store={store} slug={slug} tell={tell} />, root);
  const stop = (event: Event) => {
    if (event.target instanceof Element && event.target.closest(`[data-panel="${CSS.escape(slug)}"]`)) {
      event.preventDefault();
      event.stopPropagation();
    }
  };
  for (const name of ["click", "pointerdown", "submit", "change"]) document.addEventListener(name, stop, true);
  end = () => {
    for (const name of ["click", "pointerdown", "submit", "change"]) document.removeEventListener(name, stop, true);
    render(null, root);
    root.remove();
    delete document.documentElement.dataset.arranging;
  };
}

/** A frame over each row of the panel, and one for the panel itself. */
function Overlay({ store, slug, tell }: { store: PageStore; slug: string; tell: Tell }) {
  const [state, setState] = useState(store.state);
  const [boxes, setBoxes] = useState<readonly RowBox[]>([]);
  useEffect(() => store.subscribe(setState), [store]);
  // biome-ignore lint/correctness/useExhaustiveDependencies: rows stand elsewhere with every change of the page
  useLayoutEffect(() => {
    const measure = () => setBoxes(boxesOf(slug));
    // What is out of sight follows the state by a frame.
    const timer = setTimeout(measure, 60);
    measure();
    const watch = new ResizeObserver(measure);
    watch.observe(document.body);
    addEventListener("scroll", measure, { passive: true, capture: true });
    return () => {
      clearTimeout(timer);
      watch.disconnect();
      removeEventListener("scroll", measure, { capture: true });
    };
  }, [state, slug]);
  const one = state.panels.find((panel) => panel.slug === slug);
  if (!one) return null;
  const others = state.panels.filter((panel) => panel.slug !== slug);
  return (
    <>
      <PanelHandle slug={slug} name={one.panel.name} state={state} tell={tell} />
      {boxes.map((box) => {
        const at = one.panel.rows.findIndex(({ id }) => id === box.id);
        const row = one.panel.rows[at];
        return row ? (
          <RowFrame
            key={box.id}
            box={box}
            boxes={boxes}
            row={row}
            at={at}
            name={nameOf(row, state)}
            display={displayOf(row, state)}
            others={others}
            tell={tell}
          />
        ) : null;
      })}
    </>
  );
}

/** Where the rows of the panel stand in the document, as far as they are laid out. */
function boxesOf(slug: string): RowBox[] {
  const panel = document.querySelector(`[data-panel="${CSS.escape(slug)}"]`);
  return [...(panel?.querySelectorAll<HTMLElement>("[data-row]") ?? [])].flatMap((element) => {
    const { left, top, right, bottom, width } = element.getBoundingClientRect();
    if (width === 0) return [];
    const [x, y] = [scrollX, scrollY];
    return [{ id: element.dataset.row ?? "", left: left + x, top: top + y, right: right + x, bottom: bottom + y }];
  });
}

const nameOf = (row: Row, { fields, language }: PageState): string =>
  rowLabel(row, language) || (row.kind === "facet" ? (fields.get(row.field)?.name ?? row.field) : row.piece);

const displayOf = (row: Row, { band }: PageState): string =>
  row.kind === "facet" ? displays[resolve(row.display, band)].label : row.piece;
