/**
 * Runs before the application's own script, and starts what the view at this address waits for: its script, the worker
 * with the shop's catalogue, and the shop's documents.
 */
import { sourceAddress, startAhead } from "./ahead.ts";
import { frameScript, viewAt, viewScripts } from "./view-scripts.ts";

const [, shops, shop, ...rest] = location.pathname.split("/");
if (shops === "shops" && shop) {
  const path = `/shops/${shop}`;
  const view = viewAt(rest);
  // Only what a view asks for at once: an answer that waits could be out of date when it is used.
  startAhead(
    sourceAddress(path),
    ["", "/swatches", "/documents/mends", "/documents/shop", "/documents/pages"].map((part) => `/api${path}${part}`),
  );
  // The router asks for the same again, and reports a failure.
  frameScript().catch(() => undefined);
  if (view !== undefined) viewScripts[view]().catch(() => undefined);
}
