import { ChevronDown } from "lucide-react";
import { useCallback } from "react";
import type { PreviewNote } from "../../core/api/preview.ts";
import { type Band, bands, isOwn, resolve } from "../../core/settings/band.ts";
import { fitsPage, placementPictures, placements } from "../../core/settings/placement.ts";
import { RowNotes } from "../previews/row-notes.tsx";
import { PlacementGlyph } from "../shell/placement-glyph.tsx";
import { Popover } from "../shell/popover.tsx";
import { useOpenShop } from "../shell/shop-context.ts";
import { BandCell } from "./band-cell.tsx";
import { useBench, usePanel, useSession } from "./bench-context.ts";
import { columns } from "./columns.ts";
import { PanelSettings } from "./panel-settings.tsx";
import { followOn, placeOn } from "./place.ts";
import { usePlacement } from "./use-placement.ts";

/** The panel's own row: its placement on each band. */
export function PlacementRow() {
  const { shop } = useOpenShop();
  const { session, slug } = useBench();
  const rows = usePanel(({ document }) => document.rows);
  // Notes on pages and products, and on rows of this panel that are gone.
  const elsewhere = useCallback(
    ({ place }: PreviewNote) =>
      place.row === undefined || (place.panel === slug && !rows.some(({ id }) => id === place.row)),
    [slug, rows],
  );
  const { placement, byPage } = usePlacement();
  const unfolded = useSession((state) => state.unfolded === "panel");
  return (
    <div className="group border-b border-hair bg-sand/70">
      <div className={`${columns} min-h-[50px] py-1`}>
        <div className="col-span-2 flex items-center ps-4">
          <span className="min-w-0 flex-1">
            <span className="block font-medium leading-tight">The panel</span>
            <span
              className="text-[13px] text-quiet"
              title={byPage ? "Set for this page in the table of pages" : undefined}
            >
              {placementPictures[placement.wide].label}
              {byPage ? ", set by this page" : ""}
            </span>
          </span>
          <RowNotes shop={shop.slug} about="pages and products" belongs={elsewhere} />
          <button
            type="button"
            className="grid size-6 place-items-center rounded-md text-quiet opacity-0 hover:bg-base-100 hover:text-base-content focus-visible:opacity-100 group-hover:opacity-100"
            aria-expanded={unfolded}
            aria-label="Settings of the panel"
            title="Settings"
            onClick={() => session.setState({ unfolded: unfolded ? undefined : "panel" })}
          >
            <ChevronDown size={15} aria-hidden className={unfolded ? "rotate-180" : ""} />
          </button>
        </div>
        {bands.map((band) => (
          <PlacementCell key={band} band={band} />
        ))}
      </div>
      {unfolded ? <PanelSettings /> : null}
    </div>
  );
}

function PlacementCell({ band }: { band: Band }) {
  const bench = useBench();
  const shop = useOpenShop();
  const { placement } = usePlacement();
  const isArticle = useSession(({ shown }) => shown?.page.kind === "article");
  const shown = resolve(placement, band);
  const own = isOwn(placement, band);
  const label = `The panel on ${band}: ${placementPictures[shown].label.toLowerCase()}${own ? "" : ", same as the wider band"}`;
  return (
    <Popover
      label={`Position of the panel on ${band}`}
      placement="bottom"
      className="w-64 p-2"
      trigger={(props, open) => (
        <BandCell props={props} open={open} own={own} band={band} label={label}>
          <PlacementGlyph placement={shown} />
        </BandCell>
      )}
    >
      {(close) => (
        <div className="flex flex-col gap-0.5">
          {placements
            .filter((one) => one === shown || fitsPage(one, { isArticle, listing: true }))
            .map((one) => (
              <button
                key={one}
                type="button"
                aria-pressed={one === shown}
                className={`flex items-center gap-3 rounded-lg px-2 py-1.5 text-start ${one === shown ? "bg-plum-soft font-medium" : "hover:bg-sand"}`}
                onClick={() => {
                  placeOn(band, one, shop, bench);
                  close();
                }}
              >
                <PlacementGlyph placement={one} />
                {placementPictures[one].label}
              </button>
            ))}
          {own && band !== "wide" ? (
            <button
              type="button"
              className="link px-2 py-1.5 text-start text-[13px]"
              onClick={() => {
                followOn(band, shop, bench);
                close();
              }}
            >
              Use the wider band’s
            </button>
          ) : null}
        </div>
      )}
    </Popover>
  );
}
