import { patched } from "../../core/document/edit.ts";
import type { Selection } from "../../core/engine/question.ts";
import type { PanelDocument } from "../../core/panel/panel-schema.ts";
import type { BandLimits } from "../../core/settings/band.ts";
import type { PagePanel } from "../page/page-panel.ts";
import type { PageStore } from "../page/store.ts";
import { putAllViews } from "../panel/displays/all.ts";
import { direction } from "../words/direction.ts";
import { putAllWords } from "../words/languages.ts";
import { arrange, openGap, writeText } from "./arrange/arrange.ts";
import { drawScreen } from "./first-screen.ts";
import { keepLinks } from "./links.ts";
import { measurePage } from "./measure.ts";
import { type FromStage, type Handlers, handle, type ToStage } from "./messages.ts";
import { drawOffset } from "./offset.ts";
import { tryRows } from "./trial.ts";

/** Delay before measuring after a change, in ms, so that several changes are measured once. */
const settle = 250;

/** Tells the bench that a panel's choices lead to another page. @param address within the shop, with its query */
export const leaveOnStage = (address: string, selection: Selection): void =>
  parent.postMessage(
    { zt: "go", address: address.split("?")[0] ?? address, selection } satisfies FromStage,
    location.origin,
  );

/**
 * Connects the page to the bench that holds it in a frame: the bench sets its panel and shares its selection with
 * other frames.
 */
export function connectStage(store: PageStore): void {
  putAllViews();
  putAllWords();
  const tell = (message: FromStage) => parent.postMessage(message, location.origin);
  /** The open panel; its slug is sent with the panel itself. */
  let open: { slug: string; panel: PanelDocument } | undefined;
  const setPanel = (slug: string, panel: PanelDocument) => {
    open = { slug, panel };
    store.setPanel(slug, panel);
  };

  let drawsOffset = false;
  const draw = () => drawOffset(drawsOffset, store, open?.slug ?? "");
  // The panel is rendered a frame after its state changes.
  store.subscribe(() => requestAnimationFrame(draw));

  const handlers: Handlers<ToStage> = {
    panel: ({ slug, panel }) => setPanel(slug, panel),
    patches: ({ patches }) => open && setPanel(open.slug, patched(open.panel, patches)),
    page: ({ page, panels, around }) => store.setPage(page, withOpen(panels, open), around),
    limits({ limits }) {
      styleFor(limits);
      store.setWidth(innerWidth, limits);
    },
    look: ({ css }) => putLook(css),
    selection: ({ selection }) => store.setSelection(selection),
    mark: ({ row }) => store.mark(open && row !== undefined ? { panel: open.slug, row } : undefined),
    language({ language }) {
      document.documentElement.lang = language;
      document.documentElement.dir = direction(language);
      store.setLanguage(language);
    },
    drawer: ({ open: opens }) => store.openDrawer(opens ? open?.slug : undefined),
    offset({ on }) {
      drawsOffset = on;
      draw();
    },
    arrange({ on }) {
      if (!open) return;
      arrange(on, store, open.slug, {
        act: (act) => tell({ zt: "arranged", act }),
        standing: (standing) => tell({ zt: "standing", standing }),
      });
    },
    gap: ({ at }) => open && openGap(open.slug, at),
    write: ({ row }) =>
      open && writeText(open.slug, row, (html) => tell({ zt: "arranged", act: { do: "html", row, html } })),
    trial() {
      if (!open) return;
      tryRows(store, open.slug, open.panel).then((shifts) => tell({ zt: "tried", band: store.state.band, shifts }));
    },
    screen: ({ height }) => drawScreen(height),
  };
  addEventListener("message", (event: MessageEvent<ToStage>) => {
    if (event.origin !== location.origin || event.source !== parent) return;
    handle(handlers, event.data);
  });

  let { drawer } = store.state;
  store.subscribe((state, change) => {
    // Changes from the bench are not sent back to it: they would return after the next click.
    if (change === "place") tell({ zt: "selection", selection: state.selection });
    if (state.drawer !== drawer) {
      drawer = state.drawer;
      tell({ zt: "drawer", open: drawer !== undefined });
    }
  });
  tellMeasures(store, tell, () => open?.slug);
  tellPointed(tell, () => open?.slug);
  tellKeys(tell);
  keepLinks(store, tell);
  tell({ zt: "ready" });
}

/** A page's panels, with the open one in its local state: it is changed by patches only. */
const withOpen = (panels: readonly PagePanel[], open: { slug: string; panel: PanelDocument } | undefined) =>
  panels.map((one) => (open && one.slug === open.slug ? { ...one, panel: open.panel } : one));

/** Fetches the style sheet for these band limits. */
function styleFor({ medium, wide }: BandLimits): void {
  const link = document.querySelector<HTMLLinkElement>("#zt-style");
  if (!link) return;
  const address = new URL(link.href);
  address.searchParams.set("medium", String(medium));
  address.searchParams.set("wide", String(wide));
  if (address.href !== link.href) link.href = address.href;
}

/** Applies another look to the page, without fetching anything. */
function putLook(css: string): void {
  const style = document.querySelector("#zt-look");
  if (style && style.textContent !== css) style.textContent = css;
}

type Tell = (message: FromStage) => void;

function tellMeasures(store: PageStore, tell: Tell, slug: () => string | undefined): void {
  let timer: ReturnType<typeof setTimeout> | undefined;
  const measureSoon = () => {
    clearTimeout(timer);
    timer = setTimeout(() => {
      const measure = measurePage(slug() ?? store.state.panels[0]?.slug ?? "");
      if (measure) tell({ zt: "measured", band: store.state.band, measure });
    }, settle);
  };
  store.subscribe(measureSoon);
  measureSoon();
}

function tellPointed(tell: Tell, slug: () => string | undefined): void {
  let pointed: string | undefined;
  const point = (row: string | undefined) => {
    if (row === pointed) return;
    pointed = row;
    tell({ zt: "point", row });
  };
  document.addEventListener("pointerover", ({ target }) => {
    const row = target instanceof Element ? target.closest<HTMLElement>("[data-row]") : undefined;
    const own = row?.closest<HTMLElement>("[data-panel]")?.dataset.panel === slug();
    point(own ? row?.dataset.row : undefined);
  });
  document.documentElement.addEventListener("pointerleave", () => point(undefined));
}

/** The tool's keyboard shortcuts also work here. Keys used by a field stay with the field. */
function tellKeys(tell: Tell): void {
  addEventListener("keydown", (event) => {
    const { key, code, ctrlKey, metaKey, shiftKey, altKey } = event;
    const typing =
      event.target instanceof Element &&
      event.target.closest("input:not([type=checkbox], [type=radio], [type=range]), select, textarea") !== null;
    const command = ctrlKey || metaKey;
    if (event.defaultPrevented || altKey || !(command ? /^[kzy]$/i.test(key) : key === "?" && !typing)) return;
    if (typing && /^[zy]$/i.test(key)) return;
    event.preventDefault();
    tell({ zt: "key", key: { key, code, ctrlKey, metaKey, shiftKey, altKey } });
  });
}
