import { copySettings, duplicateRow, moveRow, type PanelEdit, removeRow } from "../../core/panel/edit.ts";
import { isFacet } from "../../core/panel/panel.ts";
import type { Row } from "../../core/panel/panel-schema.ts";
import { type Entry, EntryMenu } from "../shell/entry-menu.tsx";
import { useBench } from "./bench-context.ts";
import { choose } from "./chosen-rows.ts";

/** What can be done with a whole row. */
export function RowMenu({ row, title }: { row: Row; title: string }) {
  const { panel: store, session } = useBench();
  const entries = (): Entry[] => {
    const { apply, document } = store.getState();
    const { chosen } = session.getState();
    const at = document.rows.findIndex(({ id }) => id === row.id);
    const others = new Set(
      chosen.filter((id) => id !== row.id && document.rows.some((one) => one.id === id && isFacet(one))),
    );
    const edit = (label: string, made: PanelEdit): Entry => ({ label, run: () => apply(made) });
    return [
      edit("Duplicate", duplicateRow(row, title)),
      edit("Move up", moveRow(row.id, at - 1, title)),
      edit("Move down", moveRow(row.id, at + 1, title)),
      {
        label: chosen.includes(row.id) ? "No longer choose it" : "Choose, to change several together",
        run: () => choose(session, row.id),
      },
      ...(isFacet(row)
        ? [
            edit(
              "Copy settings to all facets",
              copySettings(
                row,
                new Set(document.rows.filter((one) => isFacet(one) && one.id !== row.id).map(({ id }) => id)),
                title,
              ),
            ),
            ...(others.size > 0
              ? [edit(`Copy settings to the ${others.size} chosen`, copySettings(row, others, title))]
              : []),
          ]
        : []),
      edit("Remove", removeRow(row.id, title)),
    ];
  };
  return <EntryMenu title={title} entries={entries} />;
}
