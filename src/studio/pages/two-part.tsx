import { Plus } from "lucide-react";
import type { ReactNode } from "react";
import { Link } from "react-router";

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

/** A list at the left, and the selected entry beside it. */
export function TwoPart({ label, entries, current, to, empty, addWords, add, children }: Props) {
  return (
    <div className="flex min-h-0 flex-1 gap-5">
      <nav aria-label={label} className="flex w-64 flex-none flex-col overflow-hidden rounded-box border border-hair">
        <ul className="min-h-0 flex-1 overflow-auto p-1.5">
          {entries.map(({ id, name, note }) => (
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
      <div className="min-h-0 min-w-0 flex-1 overflow-auto">
        {current === undefined ? <p className="py-8 text-center text-quiet">{empty}</p> : children}
      </div>
    </div>
  );
}
