import { useSortable } from "@dnd-kit/sortable";
import { CSS } from "@dnd-kit/utilities";
import { GripVertical, Split } from "lucide-react";
import { useState } from "react";
import type { ListedOption } from "../../core/panel/option-edit.ts";
import type { OpenedNumber } from "../numbers/opened-number.ts";
import { Opens } from "../numbers/opens.tsx";
import { LabelField } from "../shell/label-field.tsx";

interface Props {
  option: ListedOption;
  shown: boolean;
  /** The label in the language being edited. */
  text: string;
  /** Values that it is made of. */
  merged: string[] | undefined;
  ticked: boolean;
  tick(): void;
  flip(on: boolean): void;
  rename(text: string): void;
  part(): void;
  /** Its index among all options, from 0, and their number. */
  at: number;
  of: number;
  place(to: number): void;
  /** Its count, to be opened. */
  opened(): OpenedNumber;
}

/** One option of a facet: its position, visibility, label and merged values. */
export function OptionLine({
  option,
  shown,
  text,
  merged,
  ticked,
  tick,
  flip,
  rename,
  part,
  at,
  of,
  place,
  opened,
}: Props) {
  const { attributes, listeners, setNodeRef, setActivatorNodeRef, transform, transition, isDragging } = useSortable({
    id: option.id,
  });
  const { label, original, products } = option;
  return (
    <li
      ref={setNodeRef}
      style={{ transform: CSS.Translate.toString(transform), transition }}
      className={`flex items-center gap-1.5 py-0.5 text-[13px] ${isDragging ? "relative z-10 bg-base-100 shadow-lg" : ""} ${ticked ? "bg-accent/20" : ""}`}
    >
      <button
        type="button"
        ref={setActivatorNodeRef}
        {...attributes}
        {...listeners}
        aria-label={`Move ${label}`}
        title="Drag, or Alt with ↑, ↓, Home and End"
        onKeyDown={(event) => {
          const to = event.altKey ? { ArrowUp: at - 1, ArrowDown: at + 1, Home: 0, End: of - 1 }[event.key] : undefined;
          if (to === undefined) {
            listeners?.onKeyDown?.(event);
            return;
          }
          event.preventDefault();
          if (to >= 0 && to < of) place(to);
        }}
        className="grid h-6 w-5 cursor-grab place-items-center text-base-content/45 hover:text-base-content"
      >
        <GripVertical size={13} aria-hidden />
      </button>
      <PlaceField label={label} at={at} of={of} place={place} />
      <input
        type="checkbox"
        className="checkbox checkbox-xs"
        aria-label={`Show ${label}`}
        title="Shown to shoppers"
        checked={shown}
        onChange={(event) => flip(event.target.checked)}
      />
      <span className={`min-w-0 flex-1 truncate ${shown ? "" : "line-through opacity-80"}`}>
        <LabelField value={text} fallback={label} label={`Name of ${original}`} save={rename} />
        {merged ? <span className="ps-1 text-[13px] text-quiet">= {merged.join(", ")}</span> : null}
        {label !== original ? <span className="ps-1 text-[13px] text-quiet">was {original}</span> : null}
      </span>
      {merged ? (
        <button
          type="button"
          className="grid size-6 place-items-center text-quiet hover:text-base-content"
          aria-label={`Unmerge ${label}`}
          title="Unmerge"
          onClick={part}
        >
          <Split size={13} aria-hidden />
        </button>
      ) : null}
      <Opens number={opened} className="text-quiet">
        {products.toLocaleString("en")}
      </Opens>
      <button
        type="button"
        aria-pressed={ticked}
        aria-label={`Select ${label} to merge`}
        title="Select to merge"
        className={`size-4 flex-none rounded-full border ${ticked ? "border-accent bg-accent" : "border-secondary/50"}`}
        onClick={tick}
      />
    </li>
  );
}

/** An option's position as a number, which can be typed to move it. */
function PlaceField({ label, at, of, place }: Pick<Props, "at" | "of" | "place"> & { label: string }) {
  const [text, setText] = useState<string | undefined>(undefined);
  const save = () => {
    const to = Number(text);
    if (text !== undefined && Number.isInteger(to) && to >= 1 && to - 1 !== at) place(Math.min(to, of) - 1);
    setText(undefined);
  };
  return (
    <input
      type="text"
      inputMode="numeric"
      className="w-7 rounded-md bg-transparent text-end text-quiet tabular-nums hover:bg-sand focus:bg-base-100"
      aria-label={`Position of ${label}`}
      title={`Position ${at + 1} of ${of}; type a number to move it`}
      value={text ?? String(at + 1)}
      onFocus={(event) => event.target.select()}
      onChange={(event) => setText(event.target.value)}
      onBlur={save}
      onKeyDown={(event) => {
        if (event.key === "Enter") save();
        if (event.key === "Escape") setText(undefined);
      }}
    />
  );
}
