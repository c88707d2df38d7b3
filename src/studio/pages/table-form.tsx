import { Plus } from "lucide-react";
import { Fragment } from "react";
import type { TableColumn } from "../../core/page/pages-schema.ts";
import { LineTools } from "../controls/line-tools.tsx";
import { moved, replaced, withoutEntry } from "../controls/lists.ts";
import { TextControl } from "../controls/text-control.tsx";
import { CellList } from "./cell-list.tsx";
import { FormPart } from "./form-line.tsx";
import type { LayoutFormProps } from "./layout-form-props.ts";

/** The columns of the table, each with one or several parts below one another. */
export function TableForm({ layout, own, set }: LayoutFormProps) {
  const { table, form } = layout;
  if (!Object.values(form).includes("table")) return null;
  const put = (next: readonly TableColumn[], words: string) => set({ table: [...next] }, words);
  const replace = (at: number, column: TableColumn, words: string) => put(replaced(table, at, column), words);
  return (
    <FormPart
      title="Columns of the table"
      own={own.table !== undefined}
      reset={() => set({ table: undefined }, "reset the columns")}
    >
      {table.map((column, at) => {
        const name = column.title || `column ${at + 1}`;
        return (
          <Fragment key={at}>
            <div className="flex items-center gap-1">
              <TextControl
                name={`Heading of column ${at + 1}`}
                value={column.title}
                longest={200}
                set={(title) => replace(at, { ...column, title }, `rename a column to “${title}”`)}
              />
              <LineTools
                name={name}
                at={at}
                of={table.length}
                move={(to) => put(moved(table, at, to), `move ${name}`)}
                remove={() => put(withoutEntry(table, at), `remove ${name}`)}
              />
            </div>
            <div className="ps-3">
              <CellList
                of={name}
                cells={column.cells}
                set={(cells, words) => replace(at, { ...column, cells }, words)}
              />
            </div>
          </Fragment>
        );
      })}
      <button
        type="button"
        className="btn btn-xs self-start"
        onClick={() => put([...table, { title: "", cells: [{ part: "price" }] }], "add a column")}
      >
        <Plus size={13} aria-hidden /> Column
      </button>
    </FormPart>
  );
}
