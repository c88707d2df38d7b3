import type { PanelHeights } from "../../core/api/panel-heights.ts";
import type { ShopFiles } from "../../core/shop/archive/shop-files.ts";
import type { WholeShop } from "../../core/shop/archive/whole-shop.ts";
import { defaultSite } from "../../core/shop/site.ts";
import { type Handoff, type HandoffWishes, makeHandoff } from "./make.ts";

/** The folder of a second edition in a handoff, which a share of the tabs get. */
export const trialFolder = "trial/";

/** A state of a shop; `edition` is absent for a draft or a folder. */
interface ShopState {
  whole: WholeShop;
  edition?: number | undefined;
  /** Measured heights of its panels. */
  measured?: PanelHeights["heights"] | undefined;
}

/** The share of the tabs in a text; undefined unless it is a number between 0 and 1. @param text default: a half */
export function trialShare(text = "0.5"): number | undefined {
  const share = Number(text);
  return share > 0 && share < 1 ? share : undefined;
}

/**
 * A handoff with a second edition in a folder of its own, for a share of the tabs.
 * @param wishes for both
 * @throws HttpError
 */
export async function makeWithTrial(
  main: ShopState,
  second: ShopState,
  share: number,
  wishes: Omit<HandoffWishes, "edition" | "measured" | "heights" | "trial">,
): Promise<Handoff> {
  const at = (wishes.site?.at ?? main.whole.shop.site?.at ?? defaultSite.at) + trialFolder;
  const make = ({ whole, ...state }: ShopState, more: HandoffWishes) =>
    makeHandoff(whole, { ...wishes, ...state, ...more });
  const made = await make(main, { trial: { at: trialFolder, share } });
  const other = await make(second, { site: { ...wishes.site, at } });
  return { ...made, files: withTrial(made.files, other.files) };
}

const withTrial = (files: ShopFiles, trial: ShopFiles): ShopFiles =>
  new Map([...files, ...[...trial].map(([path, bytes]): [string, Uint8Array] => [trialFolder + path, bytes])]);
