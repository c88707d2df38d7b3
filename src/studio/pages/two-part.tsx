import { Plus } from "lucide-react";
import { type ReactNode, useEffect, useRef, useState } from "react";
import { Link } from "react-router";
import { FindField } from "../controls/find-field.tsx";
import { findByWords } from "../shell/find-actions.ts";

interface Entry {
  id: string;
  name: string;
  note: string;
}

interface Props {
  /** The kind of list, like “Collections”. */
  label: string;
  entries: readonly Entry[];
  current: string | undefined;
  to(id: string): string;
  /** The text for an empty list. */
  empty: string;
  addWords: string;
  add(): void;
  children: ReactNode;
}

/** Number of entries from which the list has a search. */
const readAtOnce = 12;

/** A list at the left, and the selected entry beside it. */
export function TwoPart({ label, entries, current, to, empty, addWords, add, children }: Props) {
  const [asked, setAsked] = useState("");
  const found = findByWords(entries, ({ name, note }) => `${name} ${note}`, asked);
  const list = useRef<HTMLUListElement>(null);
  // biome-ignore lint/correctness/useExhaustiveDependencies: the current entry is looked for whenever it changes
  useEffect(() => {
    list.current?.querySelector("[aria-current]")?.scrollIntoView({ block: "nearest" });
  }, [current]);
  return (
    <div className="flex min-h-0 flex-1 gap-5 max-md:flex-col max-md:overflow-y-auto">
      <nav
        aria-label={label}
        className="flex w-64 flex-none flex-col overflow-hidden rounded-box border border-hair max-md:max-h-60 max-md:w-full"
      >
        {entries.length > readAtOnce ? (
          <div className="border-b border-hair p-2">
            <FindField
              label={`Search ${label.toLowerCase()}`}
              value={asked}
              set={setAsked}
              className="input-sm w-full"
            />
          </div>
        ) : null}
        <ul ref={list} className="min-h-0 flex-1 overflow-auto p-1.5">
          {found.map(({ id, name, note }) => (
            <li key={id}>
              <Link
                to={to(id)}
                aria-current={id === current ? "page" : undefined}
                className={`block rounded-lg px-2.5 py-1.5 ${id === current ? "bg-plum-soft font-medium" : "hover:bg-sand"}`}
              >
                <span className="block truncate">{name || "No name yet"}</span>
                <span className="block truncate text-[13px] text-quiet">{note}</span>
              </Link>
            </li>
          ))}
        </ul>
        <div className="border-t border-hair p-2">
          <button type="button" className="btn btn-sm w-full" data-act={addWords} onClick={add}>
            <Plus size={15} aria-hidden /> {addWords}
          </button>
        </div>
      </nav>
      <div className="min-h-0 min-w-0 flex-1 overflow-auto max-md:overflow-visible">
        {current === undefined ? <p className="py-8 text-center text-quiet">{empty}</p> : children}
      </div>
    </div>
  );
}
