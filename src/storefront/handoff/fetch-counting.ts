import type { Counting } from "./counting.ts";

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
export function fetchCounting({ name, integrity }: CountingFile, at: URL): Promise<Counting> {
  return new Promise((done, failed) => {
    const script = document.createElement("script");
    const fail = () => failed(new Error("It is missing, or differs from the handoff’s."));
    script.addEventListener("error", fail);
    script.addEventListener("load", () => {
      if (globalThis.trellisCounting) done(globalThis.trellisCounting);
      else fail();
    });
    Object.assign(script, { src: new URL(name, at).href, integrity, crossOrigin: "anonymous" });
    document.head.append(script);
    script.remove();
  });
}
