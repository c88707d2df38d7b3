import { toast } from "sonner";
import { copySettings } from "../../core/panel/copy-settings.ts";
import { duplicateRow, moveRow, type PanelEdit, removeRow } from "../../core/panel/edit.ts";
import { isFacet } from "../../core/panel/panel.ts";
import type { Row } from "../../core/panel/panel-schema.ts";
import { type Entry, EntryMenu } from "../shell/entry-menu.tsx";
import { useBench } from "./bench-context.ts";
import { choose } from "./chosen-rows.ts";

/** The actions on a whole row. */
export function RowMenu({ row, title }: { row: Row; title: string }) {
  const { panel: store, session } = useBench();
  const entries = (): Entry[] => {
    const { apply, document } = store.getState();
    const { chosen } = session.getState();
    const at = document.rows.findIndex(({ id }) => id === row.id);
    const others = document.rows.filter(isFacet).filter(({ id }) => id !== row.id);
    const picked = others.filter(({ id }) => chosen.includes(id));
    const edit = (label: string, made: PanelEdit): Entry => ({ label, run: () => apply(made) });
    /** The copied settings differ from facet to facet, so they are listed. */
    const copy = (label: string, made: PanelEdit): Entry => ({
      label,
      run: () => {
        apply(made);
        toast(made.words);
      },
    });
    return [
      edit("Duplicate", duplicateRow(row, title)),
      edit("Move up", moveRow(row.id, at - 1, title)),
      edit("Move down", moveRow(row.id, at + 1, title)),
      {
        label: chosen.includes(row.id) ? "Deselect" : "Select, to change several together",
        run: () => choose(session, row.id),
      },
      ...(isFacet(row)
        ? [
            copy("Copy settings to all facets", copySettings(row, others, title)),
            ...(picked.length > 0
              ? [copy(`Copy settings to the ${picked.length} selected`, copySettings(row, picked, title))]
              : []),
          ]
        : []),
      edit("Remove", removeRow(row.id, title)),
    ];
  };
  return <EntryMenu title={title} entries={entries} />;
}
