import { Check, Plus } from "lucide-react";
import { useState } from "react";
import { displays } from "../../core/displays/displays.ts";
import { addRow, type PanelEdit, removeRow } from "../../core/panel/edit.ts";
import { suggestRow } from "../../core/panel/suggest/suggest.ts";
import { FindField } from "../controls/find-field.tsx";
import { findByWords } from "../shell/find-actions.ts";
import { Popover } from "../shell/popover.tsx";
import { useOpenShop } from "../shell/shop-context.ts";
import { focusMade } from "../shell/when-there.ts";
import { addSuggested, freeFields, freePieces } from "./additions.ts";
import { useBench, usePanel } from "./bench-context.ts";
import { RowPicture } from "./live-picture.tsx";
import { Reach } from "./reach.tsx";

/** Every field and piece not in the panel yet. */
export function AddMenu() {
  const shop = useOpenShop();
  const panel = usePanel((state) => state.document);
  const { count } = addSuggested(shop, panel);
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
        {(close) => <Additions close={close} />}
      </Popover>
      <span className="band-cell text-[13px] text-quiet">
        {count > 0 ? `${count} suggested from the catalogue` : ""}
      </span>
    </>
  );
}

const entry = "w-full rounded-lg px-2.5 py-1.5 text-start hover:bg-sand";
/** Marks what Enter takes. */
const best = "bg-plum-soft";

/** The list to add from, until it is closed; added fields stay in it, ticked. */
function Additions({ close }: { close(): void }) {
  const shop = useOpenShop();
  const store = useBench().panel;
  const panel = usePanel((state) => state.document);
  const [asked, setAsked] = useState("");
  const [fields] = useState(() => freeFields(shop, panel));
  const suggested = addSuggested(shop, panel);
  const [added, setAdded] = useState<string>();
  const done = () => {
    close();
    if (added) focusMade(`[data-row="${CSS.escape(added)}"] button`);
  };
  const apply = (edit: PanelEdit) => store.getState().apply(edit);
  const choices = [
    ...fields.map(({ profile, suggestion }) => {
      const { key, name } = profile.field;
      const row = panel.rows.find((one) => one.kind === "facet" && one.field === key);
      const toggle = () => {
        const made = suggestRow(profile);
        apply(row ? removeRow(row.id, name) : addRow(made, name));
        setAdded(row ? undefined : made.id);
      };
      return { is: "field" as const, name, profile, suggestion, isIn: row !== undefined, take: toggle };
    }),
    ...freePieces(shop, panel).map(({ name, row, edit }) => ({
      is: "piece" as const,
      name,
      row,
      take: () => {
        apply(edit);
        setAdded(row.id);
      },
    })),
  ];
  const found = findByWords(choices, ({ name }) => name, asked);
  const first = asked.trim() === "" ? undefined : found[0];
  const pieces = found.filter((one) => one.is === "piece");
  return (
    <>
      <div className="sticky top-0 z-10 flex gap-2 border-b border-hair bg-base-100 p-2">
        <FindField
          label="Search the fields"
          value={asked}
          set={setAsked}
          enter={() => {
            first?.take();
            setAsked("");
          }}
          className="input-sm w-full"
        />
        <button type="button" className="btn btn-primary btn-sm flex-none" onClick={done}>
          Done
        </button>
        {suggested.count > 1 ? (
          <button
            type="button"
            className="btn btn-sm flex-none"
            onClick={() => {
              apply(suggested.edit);
              close();
            }}
          >
            Add all {suggested.count} suggested
          </button>
        ) : null}
      </div>
      <ul className="p-1.5 empty:hidden">
        {found.map((one) =>
          one.is === "piece" ? null : (
            <li key={one.profile.field.key}>
              <button
                type="button"
                className={`grid grid-cols-[16px_minmax(0,1fr)_150px] items-center gap-2.5 ${entry} ${one === first ? best : ""}`}
                aria-pressed={one.isIn}
                onClick={one.take}
              >
                {one.isIn ? <Check size={15} aria-hidden /> : <span />}
                <span className="min-w-0">
                  <span className="block truncate font-medium">{one.name}</span>
                  <Reach profile={one.profile} />
                </span>
                <span className="text-[13px] leading-tight text-quiet">
                  {one.suggestion.worth
                    ? `${displays[one.suggestion.display].label}: ${one.suggestion.reason}`
                    : `Not suggested: ${one.suggestion.reason}`}
                </span>
              </button>
            </li>
          ),
        )}
      </ul>
      {pieces.length > 0 ? (
        <ul className="grid grid-cols-3 gap-1.5 border-t border-hair p-2" aria-label="Pieces">
          {pieces.map((one) => (
            <li key={one.name}>
              <button
                type="button"
                className={`flex h-full w-full flex-col rounded-lg border border-hair p-1.5 text-start hover:border-secondary ${one === first ? best : ""}`}
                onClick={one.take}
              >
                <span className="mb-1 truncate text-[13px] font-medium">{one.name}</span>
                <span className="mt-auto rounded-md bg-white p-1">
                  <RowPicture row={one.row} band="wide" width={240} scale={0.48} height={44} />
                </span>
              </button>
            </li>
          ))}
        </ul>
      ) : null}
      {found.length === 0 ? <p className="px-3 py-4 text-quiet">Nothing has that name.</p> : null}
    </>
  );
}
