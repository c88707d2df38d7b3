import { placePanel } from "../../core/page/edit.ts";
import { followPlacement, setPlacement } from "../../core/panel/edit.ts";
import { type Band, type Banded, withBand, withoutBand } from "../../core/settings/band.ts";
import type { Placement } from "../../core/settings/placement.ts";
import type { OpenShop } from "../shell/shop-context.ts";
import type { Bench } from "./bench-context.ts";

/** Moves the panel on a band: only on the stage's page, if that overrides the panel's own placement. */
export function placeOn(band: Band, placement: Placement, shop: OpenShop, bench: Bench): void {
  const own = (at: Banded<Placement>) => withBand(at, band, placement);
  if (!placeHere(own, `${placement} on ${band}`, shop, bench))
    bench.panel.getState().apply(setPlacement(band, placement));
}

/** Makes the panel on a narrower band follow the wider one, on the stage's page or in general. */
export function followOn(band: Band, shop: OpenShop, bench: Bench): void {
  const own = (at: Banded<Placement>) => withoutBand(at, band);
  if (!placeHere(own, `${band}: same as the wider band`, shop, bench))
    bench.panel.getState().apply(followPlacement(band));
}

/** @returns whether the page overrides the panel's placement, so that it was changed there */
function placeHere(
  change: (at: Banded<Placement>) => Banded<Placement>,
  words: string,
  { pages }: OpenShop,
  { panel, session, slug }: Bench,
): boolean {
  const { shown } = session.getState();
  const here = shown?.page.layout.panels.find((one) => one.panel === slug);
  if (!shown || !here?.at) return false;
  const { address, layout } = shown.page;
  const { name } = panel.getState().document;
  const edit = placePanel({ address }, layout.panels, slug, change(here.at), `${name} on this page: ${words}`);
  pages.getState().apply(edit);
  return true;
}
