import type { Counting } from "./counting.ts";
import { loadScript, notOurs } from "./load-script.ts";

declare global {
  /** Set by the engine's script. */
  var trellisCounting: Counting | undefined;
}

/** The engine's script: its file name, and its integrity hash. */
export interface CountingFile {
  name: string;
  integrity: string;
}

/** @throws Error if it is missing or differs from its integrity hash */
export async function fetchCounting({ name, integrity }: CountingFile, at: URL): Promise<Counting> {
  await loadScript(new URL(name, at).href, integrity, "");
  if (!globalThis.trellisCounting) throw new Error(notOurs);
  return globalThis.trellisCounting;
}
