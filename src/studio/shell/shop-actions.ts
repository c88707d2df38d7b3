import type { NavigateFunction } from "react-router";
import { isFacetable } from "../../core/catalogue/field.ts";
import { isNumeric } from "../../core/catalogue/field-kinds.ts";
import { shopPath } from "../api.ts";
import type { Action } from "./action.ts";
import type { OpenShop } from "./shop-context.ts";
import { pressAct, whenThere } from "./when-there.ts";

/** Actions that open any part of a shop by name, from every view. */
export function shopActions({ shop, profiles }: OpenShop, navigate: NavigateFunction): Action[] {
  const base = `/shops/${encodeURIComponent(shop.slug)}`;
  const go = (name: string, to: string): Action => ({ name, run: () => navigate(base + to) });
  const fields = profiles.map(({ field }) => field);
  const download = (name: string, file: string): Action => ({
    name,
    run: () => location.assign(`/api${shopPath(shop.slug)}/${file}`),
  });
  const act = (name: string, to: string, pressed: string, also: string): Action => ({
    name,
    also,
    run: () => {
      // The view that is open stays as it is.
      if (!location.pathname.startsWith(base + to)) void navigate(base + to);
      pressAct(pressed);
    },
  });
  return [
    act("New panel", "/panels", "New panel", "add create"),
    act("New collection", "/pages/collections", "New collection", "add create page"),
    {
      ...go("Publish an edition", "/editions"),
      also: "release go live",
      run: () => {
        void navigate(`${base}/editions`);
        whenThere('button[data-act="Publish"]', (button) => button.focus());
      },
    },
    act("Share a preview", "/editions", "Share a preview", "client link notes review show"),
    act("Handoff to a site", "/editions", "Handoff", "embed install snippet code export"),
    {
      name: "Preview the draft as a shopper",
      also: "open view shop storefront",
      run: () => window.open(`/draft/${encodeURIComponent(shop.slug)}/`, "_blank", "noreferrer"),
    },
    { ...download("Export the whole shop as a ZIP", "folder.zip"), also: "download backup folder" },
    ...shop.panels.map(({ slug, name }) => go(`Open the panel ${name}`, `/panels/${encodeURIComponent(slug)}`)),
    ...shop.looks.map(({ slug, name }) => go(`Open the look ${name}`, `/look/${encodeURIComponent(slug)}`)),
    ...fields.map(({ key, name }) => go(`Open the field ${name}`, `/catalogue?field=${encodeURIComponent(key)}`)),
    ...fields
      .filter((field) => isFacetable(field) && !isNumeric(field))
      .map(({ key, name }) => go(`Open the swatches of ${name}`, `/swatches/${encodeURIComponent(key)}`)),
    go("Open the table of products", "/catalogue/products"),
    go("Open the corrections", "/catalogue/mends"),
    go("Import a newer catalogue file", "/catalogue/import"),
    go("Send trial shoppers through a page", "/rehearsal"),
    download("Download the catalogue as CSV", "catalogue.csv"),
    download("Download the catalogue as JSON-LD", "catalogue.jsonld"),
    download("Download the swatches as CSV", "swatches.csv"),
    download("Download the swatches with pictures", "swatches.zip"),
  ];
}
