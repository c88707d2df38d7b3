import { useState } from "react";
import { movePanelUp, type PagesEdit, placePanel, removePanelFromPage, type Scope } from "../../core/page/edit.ts";
import type { PanelOnPage } from "../../core/page/pages-schema.ts";
import type { PanelDocument } from "../../core/panel/panel-schema.ts";
import type { PageKind } from "../../core/profile/page-kinds.ts";
import { type Band, type Banded, bands, isOwn, resolve, withBand, withoutBand } from "../../core/settings/band.ts";
import { fitsPage, type Placement, placementPictures, placements } from "../../core/settings/placement.ts";
import { PlacementGlyph } from "../shell/placement-glyph.tsx";
import { Popover } from "../shell/popover.tsx";

interface Props {
  /** The subject of the cell, in words: a page or a page type. */
  where: string;
  kind: PageKind;
  scope: Scope;
  /** The panels there. */
  standing: readonly PanelOnPage[];
  slug: string;
  panel: PanelDocument;
  /** The page has its own panels rather than its kind's. */
  own: boolean;
  apply(edit: PagesEdit): void;
  reset(): void;
}

/** The placement of one panel on one page, or on all pages of a kind; a click changes it. */
export function PanelCell(props: Props) {
  const { where, standing, slug, panel, own } = props;
  const [wanted, setWanted] = useState(false);
  const here = standing.find((one) => one.panel === slug);
  const at = here && (here.at ?? panel.placement);
  const words = at ? spoken(at) : "not here";
  const label = `${panel.name} on ${where}: ${words}`;
  const look = (open: boolean) => ({
    "aria-label": label,
    title: words,
    className: `relative flex h-8 w-full items-center gap-1 rounded-md border px-1.5 hover:border-secondary ${open ? "border-accent ring-2 ring-accent" : "border-transparent"}`,
  });
  const picture = <CellPicture at={at} own={own} />;
  // A table has hundreds of these, and few are ever opened: the card is created on demand.
  if (!wanted)
    return (
      <button type="button" aria-haspopup="dialog" {...look(false)} onClick={() => setWanted(true)}>
        {picture}
      </button>
    );
  return (
    <Popover
      label={`${panel.name} on ${where}`}
      placement="bottom-start"
      className="w-80 p-3"
      startsOpen
      trigger={(trigger, open) => (
        <button type="button" {...trigger} {...look(open)}>
          {picture}
        </button>
      )}
    >
      {(close) => <PlaceForm {...props} at={at} here={here} close={close} />}
    </Popover>
  );
}

/** A small picture of a panel's placement; a second one if it differs on phones. */
function CellPicture({ at, own }: { at: Banded<Placement> | undefined; own: boolean }) {
  return (
    <>
      {at ? (
        <>
          <PlacementGlyph placement={resolve(at, "wide")} />
          {isOwn(at, "slim") ? (
            <span className="origin-left scale-75">
              <PlacementGlyph placement={resolve(at, "slim")} />
            </span>
          ) : null}
        </>
      ) : (
        <span className="text-quiet">–</span>
      )}
      {own ? (
        <span className="absolute end-1 top-1 size-1.5 rounded-full bg-accent" title="Different from its page type" />
      ) : null}
    </>
  );
}

/** A placement in words, for bands with their own. */
const spoken = (at: Banded<Placement>): string =>
  bands
    .filter((band) => isOwn(at, band))
    .map((band) => `${placementPictures[resolve(at, band)].label.toLowerCase()} on ${band}`)
    .join(", ");

interface FormProps extends Props {
  at: Banded<Placement> | undefined;
  here: PanelOnPage | undefined;
  close(): void;
}

function PlaceForm({ where, kind, scope, standing, slug, panel, own, at, here, apply, reset, close }: FormProps) {
  const [band, setBand] = useState<Band>("wide");
  const shown = at && resolve(at, band);
  const place = (next: Banded<Placement> | undefined, words: string) =>
    apply(placePanel(scope, standing, slug, next, `${panel.name} on ${where}: ${words}`));
  return (
    <div className="flex flex-col gap-2 text-[13px]">
      <h3 className="text-[15px]">
        {panel.name} <span className="font-normal text-quiet">on {where}</span>
      </h3>
      <div role="tablist" aria-label="Band" className="flex gap-1">
        {bands.map((one) => (
          <button
            key={one}
            type="button"
            role="tab"
            aria-selected={one === band}
            className={`flex-1 rounded-lg px-2 py-1 capitalize ${one === band ? "bg-primary text-primary-content" : "bg-sand"}`}
            onClick={() => setBand(one)}
          >
            {one}
          </button>
        ))}
      </div>
      <div className="flex flex-col">
        {placements
          .filter((placement) => fitsPage(placement, { isArticle: kind === "article", listing: true }))
          .map((placement) => (
            <button
              key={placement}
              type="button"
              aria-pressed={placement === shown}
              className={`flex items-center gap-3 rounded-lg px-2 py-1 text-start ${placement === shown ? "bg-plum-soft font-medium" : "hover:bg-sand"}`}
              onClick={() =>
                place(
                  withBand(at ?? panel.placement, band, placement),
                  `${placementPictures[placement].label.toLowerCase()} on ${band}`,
                )
              }
            >
              <PlacementGlyph placement={placement} />
              {placementPictures[placement].label}
            </button>
          ))}
      </div>
      <div className="flex flex-wrap gap-x-4 gap-y-1 border-t border-hair pt-2 empty:hidden">
        {here?.at ? <Way words="Default position" run={() => place(undefined, "default position")} /> : null}
        {at && band !== "wide" && isOwn(at, band) ? (
          <Way
            words="Use the wider band’s"
            run={() => place(withoutBand(at, band), `${band}: same as the wider band`)}
          />
        ) : null}
        {here && standing[0] !== here ? (
          <Way
            words="Move before the others"
            run={() => apply(movePanelUp(scope, standing, slug, `${panel.name} on ${where}: moved before the others`))}
          />
        ) : null}
        {here ? (
          <Way
            words={"kind" in scope ? "Not on these pages" : "Not on this page"}
            run={() => {
              apply(removePanelFromPage(scope, standing, slug, `Remove ${panel.name} from ${where}`));
              close();
            }}
          />
        ) : null}
        {own ? (
          <Way
            words="Reset to the page type"
            run={() => {
              reset();
              close();
            }}
          />
        ) : null}
      </div>
    </div>
  );
}

const Way = ({ words, run }: { words: string; run(): void }) => (
  <button type="button" className="link" onClick={run}>
    {words}
  </button>
);
