import type { Patch } from "../../core/document/patch.ts";
import type { Selection } from "../../core/engine/question.ts";
import type { RowShift } from "../../core/findings/layout-shift.ts";
import type { PageMeasure } from "../../core/findings/measure.ts";
import type { ShownPage } from "../../core/page/shown-page.ts";
import type { PanelDocument } from "../../core/panel/panel-schema.ts";
import type { Band, BandLimits } from "../../core/settings/band.ts";
import type { PagePanel } from "../page/page-panel.ts";
import type { ShopAround } from "../shop/boot.ts";

import type { ArrangeAct, Standing } from "./arrange/act.ts";

/** From the bench to a page on its stage. */
export type ToStage =
  /** The open panel as a whole, once; later only its patches. */
  | { zt: "panel"; slug: string; panel: PanelDocument }
  | { zt: "patches"; patches: readonly Patch[] }
  /** The page to show, with all its panels, and the shop around it. */
  | { zt: "page"; page: ShownPage; panels: readonly PagePanel[]; around: Pick<ShopAround, "bars" | "menu" | "search"> }
  | { zt: "limits"; limits: BandLimits }
  /** The rules of the page's looks, as CSS. */
  | { zt: "look"; css: string }
  | { zt: "selection"; selection: Selection }
  | { zt: "mark"; row: string | undefined }
  | { zt: "language"; language: string }
  | { zt: "drawer"; open: boolean }
  /** Height of the first screen, in CSS px. */
  | { zt: "screen"; height: number }
  /** Whether to draw the offset of a sticky panel. */
  | { zt: "offset"; on: boolean }
  /** Whether the page is for arranging, or for trying as a shopper would. */
  | { zt: "arrange"; on: boolean }
  /** Opens a gap before a row of the panel. */
  | { zt: "gap"; at: number | undefined }
  /** Makes a text piece editable in place. */
  | { zt: "write"; row: string }
  /** Tries each of the panel's rows and reports what moves; for a hidden page. */
  | { zt: "trial" };

/** From a page on the stage to the bench. */
export type FromStage =
  | { zt: "ready" }
  | { zt: "selection"; selection: Selection }
  | { zt: "drawer"; open: boolean }
  /** A link or a panel leads to another page of the shop, a panel with its choices. */
  | { zt: "go"; address: string; selection?: Selection }
  /** Row heights, sent a moment after each change. */
  | { zt: "measured"; band: Band; measure: PageMeasure }
  /** The row pointed at on the page. */
  | { zt: "point"; row: string | undefined }
  /** The designer's act on the page. */
  | { zt: "arranged"; act: ArrangeAct }
  /** Positions of elements on a page being arranged. */
  | { zt: "standing"; standing: Standing }
  /** The largest shift of each row, after a trial. */
  | { zt: "tried"; band: Band; shifts: readonly RowShift[] }
  /** A keyboard shortcut of the tool pressed on the page. */
  | { zt: "key"; key: PressedKey };

/** A handler for each kind of message; the compiler reports missing ones. */
export type Handlers<M extends { zt: string }> = { [Z in M["zt"]]: (message: Extract<M, { zt: Z }>) => void };

/** Passes a message to its handler; one without a handler is ignored. */
export function handle<M extends { zt: string }>(handlers: Partial<Handlers<M>>, message: M): void {
  const own: unknown = Object.hasOwn(handlers, message.zt) ? handlers[message.zt as M["zt"]] : undefined;
  if (typeof own === "function") own(message);
}

/** The data of a pressed key, as keyboard events name it. */
export type PressedKey = Pick<KeyboardEvent, "key" | "code" | "ctrlKey" | "metaKey" | "shiftKey" | "altKey">;
