import { type Band, isOwn, resolve } from "../../core/panel/bands.ts";
import type { FacetRow } from "../../core/panel/document.ts";
import { followDisplay } from "../../core/panel/edit.ts";
import { chooseDisplay, displayChoices } from "../../storefront/displays/choose.ts";
import { displays } from "../../storefront/displays/index.ts";
import { Popover } from "../shell/popover.tsx";
import { useOpenShop } from "../shell/shop-context.ts";
import { BandCell } from "./band-cell.tsx";
import { useBench, usePanel } from "./bench-context.ts";
import { LivePicture } from "./live-picture.tsx";

interface Props {
  row: FacetRow;
  band: Band;
  title: string;
}

/** How a facet shows on one band; opens the displays as small live pictures of its own options. */
export function Cell({ row, band, title }: Props) {
  const { profileOf } = useOpenShop();
  const { panel: store } = useBench();
  const panel = usePanel((state) => state.document);
  const shown = resolve(row.display, band);
  const own = isOwn(row.display, band);
  const profile = profileOf(row.field);
  if (!profile) return <span />;
  const words = `${title} on ${band}: ${displays[shown].label}`;
  return (
    <Popover
      label={`How ${title} shows on ${band}`}
      placement="bottom"
      className="w-[452px] p-3"
      trigger={(props, open) => (
        <BandCell props={props} open={open} own={own} band={band} label={own ? words : `${words}, as on the wider band`}>
          <LivePicture row={row} display={shown} band={band} panel={panel} width={200} scale={0.29} height={30} />
        </BandCell>
      )}
    >
      {(close) => (
        <>
          <div className="mb-2 flex items-baseline justify-between gap-3">
            <h3 className="truncate text-[15px]">
              {title} on {band}
            </h3>
            {own && band !== "wide" ? (
              <button
                type="button"
                className="link flex-none text-[13px]"
                onClick={() => {
                  store.getState().apply(followDisplay(row.id, band, title));
                  close();
                }}
              >
                Follow the wider band
              </button>
            ) : null}
          </div>
          <div className="grid grid-cols-3 gap-2">
            {displayChoices(profile).map(({ name, label, unsuited }) => (
              <button
                key={name}
                type="button"
                disabled={unsuited !== undefined}
                aria-pressed={name === shown}
                className={`flex flex-col rounded-lg border p-2 text-start ${name === shown ? "border-primary bg-plum-soft ring-1 ring-primary" : "border-hair enabled:hover:border-secondary"}`}
                onClick={() => {
                  store.getState().apply(chooseDisplay(row, band, name, title));
                  close();
                }}
              >
                <span className="mb-1.5 text-[13px] font-medium">{label}</span>
                {unsuited ? (
                  <span className="text-[12px] leading-snug text-quiet">{unsuited}</span>
                ) : (
                  <span className="rounded-md bg-white p-1.5">
                    <LivePicture row={row} display={name} band={band} panel={panel} width={216} scale={0.49} height={74} />
                  </span>
                )}
              </button>
            ))}
          </div>
        </>
      )}
    </Popover>
  );
}
