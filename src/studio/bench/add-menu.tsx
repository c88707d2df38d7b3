import { Plus } from "lucide-react";
import { useMemo, useState } from "react";
import { type FieldRole, isFacetable } from "../../core/catalogue/field.ts";
import { suggestFacet, suggestRow } from "../../core/evidence/suggest.ts";
import { words } from "../../core/index/words.ts";
import type { PanelDocument } from "../../core/panel/document.ts";
import { addRow, freeId, type PanelEdit, together } from "../../core/panel/edit.ts";
import { newPiece, pieceLabels, pieceNames } from "../../core/panel/pieces.ts";
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

/** Adds every field that is worth a facet, as one step. */
export function addSuggested(shop: OpenShop, panel: PanelDocument): { count: number; edit: PanelEdit } {
  const worth = freeFields(shop, panel).filter(({ suggestion }) => suggestion.worth);
  const edits = worth.map(({ profile }) => addRow(suggestRow(profile), profile.field.name));
  return { count: worth.length, edit: together(`Add ${worth.length} suggested facets`, edits) };
}

const once = new Set(["search", "chosen", "clear", "count"]);
const linked: readonly FieldRole[] = ["category", "brand", "type", "tags"];

/** Pieces that can be added, each as the edit that adds it; some make sense once only. */
export function freePieces({ profiles }: OpenShop, panel: PanelDocument): { name: string; edit: PanelEdit }[] {
  const has = (piece: string) => panel.rows.some((row) => row.kind === "piece" && row.piece === piece);
  const add = (name: string, row: ReturnType<typeof newPiece>) => ({
    name,
    edit: addRow(row, name, row.piece === "search" || row.piece === "chosen" ? 0 : undefined),
  });
  return pieceNames
    .filter((piece) => !(once.has(piece) && has(piece)))
    .flatMap((piece) => {
      const id = freeId(panel.rows, piece);
      if (piece !== "links") return [add(pieceLabels[piece], newPiece(piece, id))];
      return profiles
        .filter(({ field, reach }) => linked.includes(field.role) && reach > 0)
        .map(({ field }) => add(`Links: ${field.name}`, newPiece(piece, id, { field: field.key, mode: field.kind === "path" ? "tree" : "any" })));
    });
}

/** Offers every field and piece that is not in the panel yet. */
export function AddMenu() {
  const shop = useOpenShop();
  const store = useBench().panel;
  const panel = usePanel((state) => state.document);
  const [asked, setAsked] = useState("");
  const free = useMemo(() => freeFields(shop, panel), [shop, panel]);
  const pieces = freePieces(shop, panel);
  const suggested = addSuggested(shop, panel);
  const fits = (name: string) => words(asked).every((word) => words(name).some((one) => one.startsWith(word)));
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
                <input
                  type="search"
                  className="input input-sm w-full"
                  placeholder="Search the fields"
                  aria-label="Search the fields"
                  value={asked}
                  onChange={(event) => setAsked(event.target.value)}
                />
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
                        <span className="text-[12px] leading-tight text-quiet">
                          {suggestion.worth ? `${displays[suggestion.display].label}: ${suggestion.reason}` : `Not by itself: ${suggestion.reason}`}
                        </span>
                      </button>
                    </li>
                  ))}
              </ul>
              {pieces.some(({ name }) => fits(name)) ? (
                <ul className="grid grid-cols-2 border-t border-hair p-1.5" aria-label="Pieces">
                  {pieces
                    .filter(({ name }) => fits(name))
                    .map(({ name, edit }) => (
                      <li key={name}>
                        <button type="button" className={entry} onClick={() => add(edit)}>
                          <span className="font-medium">{name}</span>
                        </button>
                      </li>
                    ))}
                </ul>
              ) : null}
            </>
          );
        }}
      </Popover>
      <span className="text-[13px] text-quiet">{suggested.count > 0 ? `${suggested.count} suggested from the catalogue` : ""}</span>
    </>
  );
}
