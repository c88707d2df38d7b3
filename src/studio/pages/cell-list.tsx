import { Plus } from "lucide-react";
import { isFacetable } from "../../core/catalogue/field.ts";
import { type CellPart, cellParts } from "../../core/page/listing-choices.ts";
import type { Cell } from "../../core/page/pages-schema.ts";
import { LineTools } from "../controls/line-tools.tsx";
import { moved, withoutEntry } from "../controls/lists.ts";
import { useOpenShop } from "../shell/shop-context.ts";

const partNames: Record<CellPart, string> = {
  picture: "Picture",
  title: "Name",
  text: "Description",
  price: "Price",
  rating: "Rating",
  stock: "In stock or not",
  field: "A field",
  variant: "Variant picker",
  basket: "Add-to-basket button",
};

interface Props {
  /** The owner of the parts, for assistive technology. */
  of: string;
  cells: readonly Cell[];
  /** Parts to leave out. */
  without?: readonly CellPart[];
  set(cells: Cell[], words: string): void;
}

/** The parts of a card or a column, in order. */
export function CellList({ of, cells, without = [], set }: Props) {
  const { profiles } = useOpenShop();
  const nameOf = ({ part, field }: Cell) =>
    part === "field" ? (profiles.find((one) => one.field.key === field)?.field.name ?? field ?? "") : partNames[part];
  const choices: Cell[] = [
    ...cellParts.filter((part) => part !== "field" && !without.includes(part)).map((part) => ({ part })),
    ...profiles
      .filter(({ field }) => isFacetable(field))
      .map(({ field }) => ({ part: "field" as const, field: field.key })),
  ];
  return (
    <div className="flex flex-col gap-1 text-[13px]">
      <ol aria-label={`Shown in ${of}`} className="flex flex-col">
        {cells.map((cell, at) => (
          <li
            key={`${cell.part} ${cell.field ?? ""} ${at}`}
            className="flex h-7 items-center gap-1 border-b border-hair/60"
          >
            <span className="min-w-0 flex-1 truncate">{nameOf(cell)}</span>
            <LineTools
              name={`${nameOf(cell)} in ${of}`}
              at={at}
              of={cells.length}
              move={(to) => set(moved(cells, at, to), `move ${nameOf(cell)} in ${of}`)}
              remove={() => set(withoutEntry(cells, at), `remove ${nameOf(cell)} from ${of}`)}
            />
          </li>
        ))}
      </ol>
      <label className="flex items-center gap-1.5 text-quiet">
        <Plus size={13} aria-hidden />
        <select
          className="select select-xs w-40 px-1.5"
          aria-label={`Show more in ${of}`}
          value=""
          onChange={(event) => {
            const cell = choices[Number(event.target.value)];
            if (cell) set([...cells, cell], `show ${nameOf(cell)} in ${of}`);
          }}
        >
          <option value="">Show more…</option>
          {choices.map((cell, at) => (
            <option key={nameOf(cell)} value={at}>
              {nameOf(cell)}
            </option>
          ))}
        </select>
      </label>
    </div>
  );
}
