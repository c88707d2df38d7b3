import { TrellisListing } from "./listing-element.ts";
import { TrellisPanel } from "./panel-element.tsx";

/** Makes the two elements known to the page, once: a script that comes twice finds them there already. */
export function defineElements(): void {
  const { customElements } = globalThis;
  if (!customElements.get("trellis-panel")) customElements.define("trellis-panel", TrellisPanel);
  if (!customElements.get("trellis-listing")) customElements.define("trellis-listing", TrellisListing);
}
