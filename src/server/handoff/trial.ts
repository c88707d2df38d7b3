import type { ShopFiles } from "../../core/shop/archive/shop-files.ts";

/** The folder of a second edition in a handoff, which a share of the tabs get. */
export const trialFolder = "trial/";

/** The files of a handoff with those of the second edition in their folder. */
export const withTrial = (files: ShopFiles, trial: ShopFiles): ShopFiles =>
  new Map([...files, ...[...trial].map(([path, bytes]): [string, Uint8Array] => [trialFolder + path, bytes])]);
