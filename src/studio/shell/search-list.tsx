import { Command } from "cmdk";
import { type ReactNode, useState } from "react";

interface Props {
  /** Name of the list, for assistive technology. */
  label: string;
  placeholder: string;
  /** Shown if nothing is found. */
  empty: string;
  /** Value of the entry that is marked at first; default: the first. */
  current?: string;
  /** The entries for what is typed. */
  children(asked: string): ReactNode;
}

/** A list with a search above it, in a card that has just opened. */
export function SearchList({ label, placeholder, empty, current, children }: Props) {
  const [asked, setAsked] = useState("");
  return (
    <Command label={label} shouldFilter={false} {...(current === undefined ? {} : { defaultValue: current })}>
      <Command.Input
        placeholder={placeholder}
        className="w-full border-b border-hair bg-transparent px-3 py-2.5"
        value={asked}
        onValueChange={setAsked}
        autoFocus
      />
      <Command.List className="max-h-[46vh] overflow-auto p-1.5">
        <Command.Empty className="px-3 py-4 text-quiet">{empty}</Command.Empty>
        {children(asked)}
      </Command.List>
    </Command>
  );
}
