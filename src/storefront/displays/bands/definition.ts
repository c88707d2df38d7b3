import type { Display } from "../display.ts";
import { noNumbers } from "../suits.ts";
import { Bands } from "./view.tsx";

export const bands: Display = {
  name: "bands",
  label: "Price bands",
  modes: ["range"],
  settings: ["counting", "deadEnd", "banding", "bandCount", "bandLimits", "columns", "prefix", "suffix", "decimals"],
  unsuited: (profile) => noNumbers(profile, "Bands"),
  View: Bands,
};
