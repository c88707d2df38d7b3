import type { CountingFile } from "./fetch-counting.ts";
import { putCountingFile } from "./files.ts";
import { putScriptPlace } from "./fill.ts";
import { TrellisListing } from "./listing-element.ts";
import { TrellisPanel } from "./panel-element.tsx";

/**
 * Defines the two elements once, even if the script is loaded twice.
 * @param counting the engine's script
 * @param place address of the folder of this script
 */
export function defineElements(counting: CountingFile, place: string): void {
  putCountingFile(counting);
  putScriptPlace(place);
  const { customElements } = globalThis;
  if (!customElements.get("trellis-panel")) customElements.define("trellis-panel", TrellisPanel);
  if (!customElements.get("trellis-listing")) customElements.define("trellis-listing", TrellisListing);
}
