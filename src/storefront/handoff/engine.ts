import { counting } from "./counting.ts";

/** The entry of the engine's script. */
globalThis.trellisCounting = counting;
