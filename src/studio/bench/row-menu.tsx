import { Ellipsis } from "lucide-react";
import { copySettings, duplicateRow, moveRow, type PanelEdit, removeRow } from "../../core/panel/edit.ts";
import { isFacet } from "../../core/panel/panel.ts";
import type { Row } from "../../core/panel/panel-schema.ts";
import { Popover } from "../shell/popover.tsx";
import { useBench } from "./bench-context.ts";
import { choose } from "./chosen-rows.ts";

interface Entry {
  label: string;
  run(): void;
}

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
  return (
    <Popover
      label={`More for ${title}`}
      placement="bottom-end"
      className="w-64 p-1.5"
      trigger={(props) => (
        <button
          type="button"
          {...props}
          className="grid size-6 place-items-center rounded-md text-quiet hover:bg-base-100 hover:text-base-content"
          aria-label={`More for ${title}`}
          title="More"
        >
          <Ellipsis size={15} aria-hidden />
        </button>
      )}
    >
      {(close) =>
        entries().map(({ label, run }) => (
          <button
            key={label}
            type="button"
            className="block w-full rounded-lg px-2.5 py-1.5 text-start hover:bg-sand"
            onClick={() => {
              close();
              run();
            }}
          >
            {label}
          </button>
        ))
      }
    </Popover>
  );
}
