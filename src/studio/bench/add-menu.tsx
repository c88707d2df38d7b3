import { Plus } from "lucide-react";
import { useMemo, useState } from "react";
import { displays } from "../../core/display/displays.ts";
import { fitsWords, words } from "../../core/index/words.ts";
import { addRow, type PanelEdit } from "../../core/panel/edit.ts";
import { suggestRow } from "../../core/suggest/suggest.ts";
import { FindField } from "../controls/find-field.tsx";
import { Popover } from "../shell/popover.tsx";
import { useOpenShop } from "../shell/shop-context.ts";
import { addSuggested, freeFields, freePieces } from "./additions.ts";
import { useBench, usePanel } from "./bench-context.ts";
import { RowPicture } from "./live-picture.tsx";
import { Reach } from "./reach.tsx";

/** Offers every field and piece that is not in the panel yet. */
export function AddMenu() {
  const shop = useOpenShop();
  const store = useBench().panel;
  const panel = usePanel((state) => state.document);
  const [asked, setAsked] = useState("");
  const free = useMemo(() => freeFields(shop, panel), [shop, panel]);
  const pieces = freePieces(shop, panel);
  const suggested = addSuggested(shop, panel);
  const fits = (name: string) => fitsWords(name, words(asked));
  const entry = "w-full rounded-lg px-2.5 py-1.5 text-start hover:bg-sand";

  return (
    <>
      <Popover
        label="Add a facet or piece"
        placement="top-start"
        className="w-[440px]"
        trigger={(props) => (
          <button type="button" {...props} className="btn btn-sm border-dashed border-secondary bg-base-100">
            <Plus size={15} aria-hidden /> Facet or piece
          </button>
        )}
      >
        {(close) => {
          const add = (edit: PanelEdit) => {
            store.getState().apply(edit);
            setAsked("");
            close();
          };
          return (
            <>
              <div className="sticky top-0 z-10 flex gap-2 border-b border-hair bg-base-100 p-2">
                <FindField label="Search the fields" value={asked} set={setAsked} className="input-sm w-full" />
                {suggested.count > 1 ? (
                  <button type="button" className="btn btn-sm flex-none" onClick={() => add(suggested.edit)}>
                    Add all {suggested.count} suggested
                  </button>
                ) : null}
              </div>
              <ul className="p-1.5">
                {free
                  .filter(({ profile }) => fits(profile.field.name))
                  .map(({ profile, suggestion }) => (
                    <li key={profile.field.key}>
                      <button
                        type="button"
                        className={`grid grid-cols-[minmax(0,1fr)_160px] items-center gap-3 ${entry}`}
                        onClick={() => add(addRow(suggestRow(profile), profile.field.name))}
                      >
                        <span className="min-w-0">
                          <span className="block truncate font-medium">{profile.field.name}</span>
                          <Reach profile={profile} />
                        </span>
                        <span className="text-[13px] leading-tight text-quiet">
                          {suggestion.worth
                            ? `${displays[suggestion.display].label}: ${suggestion.reason}`
                            : `Not by itself: ${suggestion.reason}`}
                        </span>
                      </button>
                    </li>
                  ))}
              </ul>
              {pieces.some(({ name }) => fits(name)) ? (
                <ul className="grid grid-cols-3 gap-1.5 border-t border-hair p-2" aria-label="Pieces">
                  {pieces
                    .filter(({ name }) => fits(name))
                    .map(({ name, row, edit }) => (
                      <li key={name}>
                        <button
                          type="button"
                          className="flex h-full w-full flex-col rounded-lg border border-hair p-1.5 text-start hover:border-secondary"
                          onClick={() => add(edit)}
                        >
                          <span className="mb-1 truncate text-[13px] font-medium">{name}</span>
                          <span className="mt-auto rounded-md bg-white p-1">
                            <RowPicture row={row} band="wide" width={240} scale={0.48} height={44} />
                          </span>
                        </button>
                      </li>
                    ))}
                </ul>
              ) : null}
            </>
          );
        }}
      </Popover>
      <span className="band-cell text-[13px] text-quiet">
        {suggested.count > 0 ? `${suggested.count} suggested from the catalogue` : ""}
      </span>
    </>
  );
}
