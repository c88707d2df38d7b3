import type { Counting } from "./counting.ts";

declare global {
  /** Where the script that counts puts itself. */
  var trellisCounting: Counting | undefined;
}

/** The script that counts: its name beside the other files, and what a browser is to refuse another by. */
export interface CountingFile {
  name: string;
  integrity: string;
}

/** @throws Error if it did not come, or is another than it was */
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
