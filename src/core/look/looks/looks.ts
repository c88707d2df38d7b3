import { confetti } from "./confetti.ts";
import { linen } from "./linen.ts";
import type { ShippedLook } from "./look.ts";
import { nightfall } from "./nightfall.ts";
import { orchard } from "./orchard.ts";
import { salt } from "./salt.ts";
import { signal } from "./signal.ts";

/** The shipped looks, each for another kind of shop. */
export const shippedLooks: readonly ShippedLook[] = [salt, linen, orchard, signal, nightfall, confetti];
