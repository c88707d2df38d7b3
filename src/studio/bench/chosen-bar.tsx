import { combineEdits } from "../../core/document/edit.ts";
import { removeRow, setSetting } from "../../core/panel/edit.ts";
import { isFacet } from "../../core/panel/panel.ts";
import { settingDefinition } from "../../core/settings/setting-definitions.ts";
import { type Share, settingFacts } from "../../core/settings/settings.ts";
import { useBench, usePanel, useSession } from "./bench-context.ts";

/** Actions on several rows at once; a setting of one changes all of them. */
export function ChosenBar() {
  const { panel: store, session } = useBench();
  const rows = usePanel((state) => state.document.rows);
  const chosen = useSession((state) => state.chosen);
  const there = rows.filter(({ id }) => chosen.includes(id));
  if (there.length === 0) return null;
  const what = `${there.length} ${there.length === 1 ? "row" : "rows"}`;
  const { apply } = store.getState();
  const share = settingDefinition("share");
  const widths = share.kind === "choice" ? share.choices : {};
  return (
    <div className="flex flex-none items-center gap-2 border-t border-hair bg-accent/25 px-3.5 py-1.5 text-[13px]">
      <b>{what} chosen</b>
      <label className="flex items-center gap-1">
        Width
        <select
          className="select select-xs w-16"
          value=""
          onChange={(event) =>
            apply(
              combineEdits(
                `Width of ${what}`,
                there.filter(isFacet).map(({ id }) => setSetting(id, "share", event.target.value as Share, id)),
              ),
            )
          }
        >
          <option value="" disabled>
            …
          </option>
          {settingFacts.share.of?.map((one) => (
            <option key={one} value={one}>
              {widths[one]}
            </option>
          ))}
        </select>
      </label>
      <button
        type="button"
        className="btn btn-xs"
        onClick={() => {
          apply(
            combineEdits(
              `Remove ${what}`,
              there.map(({ id }) => removeRow(id, id)),
            ),
          );
          session.setState({ chosen: [] });
        }}
      >
        Remove
      </button>
      <span className="min-w-0 flex-1 truncate text-quiet">A setting of one changes all of them</span>
      <button type="button" className="btn btn-xs" onClick={() => session.setState({ chosen: [] })}>
        Done
      </button>
    </div>
  );
}
