/** Fetches what every view of a shop needs, while the view's own script is still loading. */
import { matchPath } from "react-router";
import { preload } from "swr";
import { documentPath, request, shopPath, sourceAddress } from "./api.ts";
import { startDeskAhead } from "./desk/open-desk.ts";

const slug = matchPath("/shops/:shop/*", location.pathname)?.params.shop;
if (slug !== undefined) {
  const path = shopPath(slug);
  startDeskAhead(sourceAddress(path));
  for (const key of [
    path,
    `${path}/swatches`,
    ...(["mends", "shop", "pages"] as const).map((kind) => documentPath(slug, kind)),
  ])
    // The view receives the same failure, and tells it.
    preload(key, request<unknown>).catch(() => undefined);
}
