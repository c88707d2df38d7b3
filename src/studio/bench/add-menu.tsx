import { Plus } from "lucide-react";
import { useMemo, useState } from "react";
import { isFacetable } from "../../core/catalogue/field.ts";
import { suggestFacet, suggestRow } from "../../core/evidence/suggest.ts";
import { words } from "../../core/index/words.ts";
import { type PanelDocument, pieceLabels, pieceNames } from "../../core/panel/document.ts";
import { addRow, type PanelEdit } from "../../core/panel/edit.ts";
import { displays } from "../../storefront/displays/index.ts";
import { Popover } from "../shell/popover.tsx";
import { type OpenShop, useOpenShop } from "../shell/shop-context.ts";
import { useBench, usePanel } from "./bench-context.ts";
import { Reach } from "./reach.tsx";

/** Fields that the panel has no facet for yet: those worth one first, then by reach. */
export function freeFields({ profiles }: OpenShop, panel: PanelDocument) {
  const used = new Set(panel.rows.flatMap((row) => (row.kind === "facet" ? [row.field] : [])));
  return profiles
    .filter(({ field }) => isFacetable(field) && !used.has(field.key))
    .map((profile) => ({ profile, suggestion: suggestFacet(profile) }))
    .sort((a, b) => Number(b.suggestion.worth) - Number(a.suggestion.worth) || b.profile.reach - a.profile.reach);
}

/** Pieces that the panel does not have yet, each as the edit that adds it. */
export function freePieces(panel: PanelDocument): { name: string; edit: PanelEdit }[] {
  return pieceNames
    .filter((piece) => !panel.rows.some((row) => row.kind === "piece" && row.piece === piece))
    .map((piece) => ({
      name: pieceLabels[piece],
      edit: addRow({ kind: "piece", id: piece, piece, label: pieceLabels[piece] }, pieceLabels[piece], 0),
    }));
}

/** Offers every field and piece that is not in the panel yet. */
export function AddMenu() {
  const shop = useOpenShop();
  const store = useBench().panel;
  const panel = usePanel((state) => state.document);
  const [asked, setAsked] = useState("");
  const free = useMemo(() => freeFields(shop, panel), [shop, panel]);
  const pieces = freePieces(panel);
  const suggested = free.filter(({ suggestion }) => suggestion.worth).length;
  const fits = (name: string) => words(asked).every((word) => words(name).some((one) => one.startsWith(word)));

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
              <div className="sticky top-0 z-10 border-b border-hair bg-base-100 p-2">
                <input
                  type="search"
                  className="input input-sm w-full"
                  placeholder="Search the fields"
                  aria-label="Search the fields"
                  value={asked}
                  onChange={(event) => setAsked(event.target.value)}
                />
              </div>
              <ul className="p-1.5">
                {free
                  .filter(({ profile }) => fits(profile.field.name))
                  .map(({ profile, suggestion }) => (
                    <li key={profile.field.key}>
                      <button
                        type="button"
                        className="grid w-full grid-cols-[minmax(0,1fr)_150px] items-center gap-3 rounded-lg px-2.5 py-1.5 text-start hover:bg-sand"
                        onClick={() => add(addRow(suggestRow(profile), profile.field.name))}
                      >
                        <span className="min-w-0">
                          <span className="block truncate font-medium">{profile.field.name}</span>
                          <Reach profile={profile} />
                        </span>
                        <span className="text-[12px] leading-tight text-quiet">
                          {suggestion.worth ? `${displays[suggestion.display].label}: ${suggestion.reason}` : `Not by itself: ${suggestion.reason}`}
                        </span>
                      </button>
                    </li>
                  ))}
                {pieces
                  .filter(({ name }) => fits(name))
                  .map(({ name, edit }) => (
                    <li key={name}>
                      <button type="button" className="w-full rounded-lg px-2.5 py-1.5 text-start hover:bg-sand" onClick={() => add(edit)}>
                        <span className="font-medium">{name}</span> <span className="text-[12px] text-quiet">piece</span>
                      </button>
                    </li>
                  ))}
                {free.length + pieces.length === 0 ? <li className="p-3 text-quiet">Every field is in the panel.</li> : null}
              </ul>
            </>
          );
        }}
      </Popover>
      <span className="text-[13px] text-quiet">{suggested > 0 ? `${suggested} suggested from the catalogue` : ""}</span>
    </>
  );
}
