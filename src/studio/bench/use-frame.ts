import { type RefObject, useCallback, useEffect, useRef, useState } from "react";
import { fitSelection, isEmpty, isSameSelection } from "../../core/engine/selection.ts";
import { engineFacets } from "../../core/panel/panel.ts";
import type { Band } from "../../core/settings/band.ts";
import type { ArrangeAct, Standing } from "../../storefront/stage/arrange/act.ts";
import { type FromStage, type Handlers, handle, type ToStage } from "../../storefront/stage/messages.ts";
import { hintUsed } from "../shell/first-hint.tsx";
import { pressAgain } from "../shell/keys.ts";
import { useOpenShop } from "../shell/shop-context.ts";
import { applyArrangement } from "./arrange.ts";
import { useBench, useSession } from "./bench-context.ts";

/** An act on a page, with its position in the tool's window. */
function inWindow(act: ArrangeAct, frame: HTMLIFrameElement | null): ArrangeAct {
  if (act.do !== "style" || !frame) return act;
  const box = frame.getBoundingClientRect();
  const scale = box.width / frame.offsetWidth;
  const across = (x: number) => box.left + x * scale;
  return { ...act, left: across(act.left), right: across(act.right), y: box.top + act.y * scale };
}

/**
 * Keeps a page on the stage up to date: sends it the complete panel when it loads and the changes afterwards, and
 * receives selections, pointing and measurements.
 * @param band of the page
 */
export function useFrame(
  frame: RefObject<HTMLIFrameElement | null>,
  band: Band,
): {
  drawerOpen: boolean;
  openDrawer(open: boolean): void;
  awake: boolean;
  /** Positions of elements while arranging. */
  standing: Standing | undefined;
  act(act: ArrangeAct): void;
  tell(message: ToStage): void;
} {
  const bench = useBench();
  const { panel, slug, session } = bench;
  const shop = useOpenShop();
  const { settings } = shop;
  const arranging = useSession((state) => state.arranging);
  const setting = useSession((state) => state.unfolded === "panel");
  const [drawerOpen, setDrawerOpen] = useState(false);
  const [awake, setAwake] = useState(0);
  const [standing, setStanding] = useState<Standing | undefined>(undefined);
  const screen = useSession((state) => state.screens[band].height);
  const tell = useCallback(
    (message: ToStage) => frame.current?.contentWindow?.postMessage(message, location.origin),
    [frame],
  );

  // An act on the page uses the present state; the connection to the page stays open.
  const latest = useRef({ band, shop, bench });
  latest.current = { band, shop, bench };

  useEffect(() => {
    let ready = false;
    const greet = () => {
      const { selection, language, shown } = session.getState();
      tell({ zt: "panel", slug, panel: panel.getState().document });
      if (shown) tell({ zt: "page", ...shown });
      tell({ zt: "limits", limits: settings.getState().document.limits });
      const { look } = session.getState();
      if (look !== undefined) tell({ zt: "look", css: look });
      // A page may have been clicked before hydration; an empty selection must not overwrite that.
      if (!isEmpty(selection)) tell({ zt: "selection", selection });
      tell({ zt: "language", language });
      ready = true;
      setDrawerOpen(false);
      setAwake((times) => times + 1);
    };
    const handlers = (source: MessageEventSource | null): Partial<Handlers<FromStage>> => ({
      ready: greet,
      drawer: ({ open }) => setDrawerOpen(open),
      measured: ({ band: on, measure }) =>
        session.setState(({ measures }) => ({ measures: { ...measures, [on]: measure } })),
      selection: ({ selection }) => {
        if (!isEmpty(selection)) hintUsed("page");
        session.setState({ selection, chosenBy: source ?? undefined });
      },
      arranged({ act }) {
        const { band: on, shop: now, bench: at } = latest.current;
        void applyArrangement(inWindow(act, frame.current), on, now, at);
      },
      go: ({ address, selection }) => session.setState({ address, ...(selection ? { selection } : {}) }),
      standing: (message) => setStanding(message.standing),
      point: ({ row }) => session.setState({ pointed: row }),
      key: ({ key }) => pressAgain(key),
    });
    const hear = (event: MessageEvent<FromStage>) => {
      if (event.origin !== location.origin || event.source !== frame.current?.contentWindow) return;
      handle(handlers(event.source), event.data);
    };
    addEventListener("message", hear);
    const stops = [
      panel.subscribe((now, before) => {
        if (!ready || now.document === before.document) return;
        tell({ zt: "patches", patches: [...now.patches] });
        const { selection, shown } = session.getState();
        // Choices in other panels of the page stay.
        const others = (shown?.panels ?? []).filter((one) => one.slug !== slug);
        const rows = [...now.document.rows, ...others.flatMap((one) => one.panel.rows)];
        const still = fitSelection(selection, engineFacets({ rows }, "wide"));
        if (!isSameSelection(still, selection)) session.setState({ selection: still, chosenBy: undefined });
      }),
      settings.subscribe((now, before) => {
        if (ready && now.document.limits !== before.document.limits)
          tell({ zt: "limits", limits: now.document.limits });
      }),
      session.subscribe((now, before) => {
        if (ready && now.shown && now.shown !== before.shown) tell({ zt: "page", ...now.shown });
        // The page where something was chosen already shows it, and may be one click ahead.
        if (now.selection !== before.selection && now.chosenBy !== frame.current?.contentWindow)
          tell({ zt: "selection", selection: now.selection });
        if (ready && now.look !== undefined && now.look !== before.look) tell({ zt: "look", css: now.look });
        if (now.language !== before.language) tell({ zt: "language", language: now.language });
        if (now.marked !== before.marked) tell({ zt: "mark", row: now.marked });
      }),
    ];
    return () => {
      removeEventListener("message", hear);
      for (const stop of stops) stop();
    };
  }, [panel, slug, settings, session, frame, tell]);

  useEffect(() => {
    if (awake > 0) tell({ zt: "screen", height: screen });
  }, [awake, screen, tell]);
  useEffect(() => {
    if (awake > 0) tell({ zt: "arrange", on: arranging });
  }, [awake, arranging, tell]);
  useEffect(() => {
    if (awake > 0) tell({ zt: "offset", on: setting });
  }, [awake, setting, tell]);

  return {
    drawerOpen,
    openDrawer: (open) => tell({ zt: "drawer", open }),
    awake: awake > 0,
    standing: arranging ? standing : undefined,
    act: (act) => void applyArrangement(act, band, latest.current.shop, latest.current.bench),
    tell,
  };
}
