import { Fragment, useEffect } from "react";
import { toast } from "sonner";
import { useStore } from "zustand";
import { type DisplayName, displays } from "../../core/displays/displays.ts";
import { combineEdits } from "../../core/document/edit.ts";
import { chooseDisplay, displayChoices } from "../../core/panel/choose-display.ts";
import { followDisplay } from "../../core/panel/edit.ts";
import { isFacet } from "../../core/panel/panel.ts";
import type { FacetRow } from "../../core/panel/panel-schema.ts";
import type { FieldProfile } from "../../core/profile/profile.ts";
import { type Band, isOwn, resolve } from "../../core/settings/band.ts";
import { hintUsed } from "../shell/first-hint.tsx";
import { Popover } from "../shell/popover.tsx";
import { useOpenShop } from "../shell/shop-context.ts";
import { BandCell } from "./band-cell.tsx";
import { useBench } from "./bench-context.ts";
import { LivePicture } from "./live-picture.tsx";

interface Props {
  row: FacetRow;
  band: Band;
  title: string;
}

/** A facet's display on one band; opens the displays as small live pictures of its own options. */
export function Cell({ row, band, title }: Props) {
  const { profileOf } = useOpenShop();
  const shown = resolve(row.display, band);
  const own = isOwn(row.display, band);
  const profile = profileOf(row.field);
  if (!profile) return <span />;
  const words = `${title} on ${band}: ${displays[shown].label}`;
  return (
    <Popover
      label={`How ${title} shows on ${band}`}
      placement="bottom"
      className="w-[580px] p-3"
      trigger={(props, open) => (
        <BandCell
          props={props}
          open={open}
          own={own}
          band={band}
          label={own ? words : `${words}, same as the wider band`}
        >
          <LivePicture row={row} display={shown} band={band} width={200} scale={0.29} height={30} />
        </BandCell>
      )}
    >
      {(close) => <DisplayCards row={row} band={band} title={title} profile={profile} close={close} />}
    </Popover>
  );
}

interface CardsProps extends Props {
  profile: FieldProfile;
  close(): void;
}

/** The displays as small live pictures of the facet's own options, and why the others don't suit it. */
function DisplayCards({ row, band, title, profile, close }: CardsProps) {
  useEffect(() => hintUsed("cell"), []);
  const { panel: store, session } = useBench();
  const { profileOf } = useOpenShop();
  const chosen = useStore(session, (state) => state.chosen);
  const rows = useStore(store, ({ document }) => document.rows);
  /** If several rows are selected, all of them that a display suits get it. */
  const also = chosen.includes(row.id)
    ? rows.filter(isFacet).filter(({ id }) => id !== row.id && chosen.includes(id))
    : [];
  const alsoSuited = (name: DisplayName) =>
    also.filter(({ field }) => {
      const other = profileOf(field);
      return other !== undefined && displays[name].unsuited(other) === undefined;
    });
  const take = (name: DisplayName) => {
    const others = alsoSuited(name);
    const edits = [row, ...others].map((one) =>
      chooseDisplay(one, band, name, one.id === row.id ? title : (profileOf(one.field)?.field.name ?? one.field)),
    );
    const [first] = edits;
    if (!first) return;
    const words = `Show ${edits.length} facets as ${displays[name].label.toLowerCase()} on ${band}`;
    store.getState().apply(edits.length === 1 ? first : combineEdits(words, edits));
    if (also.length > others.length)
      toast(
        `${also.length - others.length} of the selected rows didn’t change: their fields can’t be shown as ${displays[name].label.toLowerCase()}.`,
      );
    close();
  };
  const shown = resolve(row.display, band);
  const own = isOwn(row.display, band);
  const choices = displayChoices(profile);
  const suited = choices.filter((one) => one.unsuited === undefined);
  const unsuited = choices.filter((one) => one.unsuited !== undefined);
  return (
    <>
      <div className="mb-2 flex items-baseline justify-between gap-3">
        <h3 className="truncate text-[15px]">
          {title} on {band}
          {also.length > 0 ? <span className="text-quiet"> and {also.length} more selected</span> : null}
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
            Use the wider band’s
          </button>
        ) : null}
      </div>
      <div className="grid grid-cols-4 gap-2">
        {suited.map(({ name, label }) => (
          <button
            key={name}
            type="button"
            aria-pressed={name === shown}
            className={`flex flex-col rounded-lg border p-1.5 text-start ${name === shown ? "border-primary bg-plum-soft ring-1 ring-primary" : "border-hair hover:border-secondary"}`}
            onClick={() => take(name)}
          >
            <span className="mb-1 text-[13px] font-medium leading-tight">{label}</span>
            <span className="mt-auto rounded-md bg-white p-1.5">
              <LivePicture row={row} display={name} band={band} width={240} scale={0.46} height={66} />
            </span>
          </button>
        ))}
      </div>
      {unsuited.length > 0 ? (
        <details className="mt-2 text-[13px] text-quiet">
          <summary className="cursor-pointer py-1">
            {unsuited.length} {unsuited.length === 1 ? "does" : "do"} not suit this field
          </summary>
          <dl className="grid grid-cols-[130px_minmax(0,1fr)] gap-x-3 gap-y-1 py-1">
            {unsuited.map(({ name, label, unsuited: reason }) => (
              <Fragment key={name}>
                <dt className="font-medium text-base-content">{label}</dt>
                <dd>{reason}</dd>
              </Fragment>
            ))}
          </dl>
        </details>
      ) : null}
    </>
  );
}
