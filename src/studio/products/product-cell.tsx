import { type ButtonHTMLAttributes, useEffect, useId, useRef, useState } from "react";
import type { Field } from "../../core/catalogue/field.ts";
import { cellValue } from "../../core/catalogue/mend/cell-value.ts";
import { useMender } from "../catalogue/use-mender.ts";
import { UploadPicture } from "../controls/upload-picture.tsx";
import type { VariantRow } from "../desk/desk.ts";

interface Props {
  field: Field;
  row: VariantRow;
  values: readonly string[];
  /** Its place in the grid, and whether Tab comes to it. */
  own: Pick<ButtonHTMLAttributes<HTMLButtonElement>, "tabIndex" | "onFocus">;
}

/** A cell edited in place: by double click or Enter; Enter saves and Escape cancels, and both lead back to the cell. */
export function ProductCell({ field, row, values, own }: Props) {
  const cell = useRef<HTMLButtonElement>(null);
  const back = useRef(false);
  const [editing, setEditing] = useState(false);
  const [fault, setFault] = useState<string | undefined>(undefined);
  const told = useId();
  const mender = useMender(field);
  const text = values.join(", ");
  useEffect(() => {
    if (editing || !back.current) return;
    back.current = false;
    cell.current?.focus();
  }, [editing]);
  if (!editing) {
    return (
      <td className={field.role === "image" ? "flex min-w-0 items-center" : "min-w-0"}>
        <button
          ref={cell}
          type="button"
          {...own}
          className="block h-full w-full min-w-0 flex-1 truncate px-3 text-start focus-visible:-outline-offset-2"
          aria-label={`${field.name}: ${text || "no value"}. Edit`}
          onDoubleClick={() => setEditing(true)}
          onKeyDown={(event) => {
            if (event.key !== "Enter" && event.key !== "F2") return;
            event.preventDefault();
            setEditing(true);
          }}
        >
          {text}
        </button>
        {field.role === "image" ? (
          <UploadPicture
            label={`a picture of ${row.product}`}
            side={1200}
            tabIndex={own.tabIndex}
            set={(address) => mender.setCell(row.product, row.variant, [address])}
          />
        ) : null}
      </td>
    );
  }
  const before = values.join(" | ");
  const end = () => {
    setEditing(false);
    setFault(undefined);
  };
  const save = (now: string) => {
    if (now.trim() === before) return end();
    const read = cellValue(now, field);
    // Invalid text stays for correction.
    if ("fault" in read) return setFault(read.fault);
    end();
    mender.setCell(row.product, row.variant, read.values);
  };
  return (
    <td className="relative min-w-0 p-0.5">
      <input
        type="text"
        // biome-ignore lint/a11y/noAutofocus: the designer asked to edit this very cell
        autoFocus
        className={`input input-xs h-full w-full ${fault ? "input-error" : ""}`}
        aria-label={`${field.name} of ${row.product}, variant ${row.variant}`}
        defaultValue={before}
        aria-invalid={fault !== undefined}
        {...(fault ? { "aria-describedby": told } : {})}
        onBlur={(event) => save(event.currentTarget.value)}
        onKeyDown={(event) => {
          back.current = event.key === "Enter" || event.key === "Escape";
          if (event.key === "Enter") save(event.currentTarget.value);
          if (event.key === "Escape") end();
        }}
      />
      {fault ? (
        <span
          id={told}
          role="alert"
          className="absolute start-0 top-full z-20 w-64 rounded-md border border-error bg-base-100 px-2 py-1 text-[13px] text-error shadow-md"
        >
          {fault}
        </span>
      ) : null}
    </td>
  );
}
