import type { CountingFile } from "./fetch-counting.ts";
import { putCountingFile } from "./files.ts";
import { TrellisListing } from "./listing-element.ts";
import { TrellisPanel } from "./panel-element.tsx";

/** Makes the two elements known to the page, once: a script that comes twice finds them there already. @param counting the script that counts for them */
export function defineElements(counting: CountingFile): void {
  putCountingFile(counting);
  const { customElements } = globalThis;
  if (!customElements.get("trellis-panel")) customElements.define("trellis-panel", TrellisPanel);
  if (!customElements.get("trellis-listing")) customElements.define("trellis-listing", TrellisListing);
}
