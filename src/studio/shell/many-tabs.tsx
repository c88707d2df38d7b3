import { Command } from "cmdk";
import { ChevronDown } from "lucide-react";
import type { ReactNode } from "react";
import { useNavigate } from "react-router";
import { findByWords } from "./find-actions.ts";
import { Popover } from "./popover.tsx";
import { SearchList } from "./search-list.tsx";

/** Number of tabs that fit; more are a list with a search. */
export const mostTabs = 8;

interface Props {
  /** The documents in the plural, like “panels”. */
  what: string;
  entries: readonly { slug: string; name: string; mark?: ReactNode }[];
  current: string;
  to(slug: string): string;
}

/** All documents of a kind as a list with a search, for a shop with many. */
export function ManyTabs({ what, entries, current, to }: Props) {
  const navigate = useNavigate();
  return (
    <Popover
      label={`All ${what}`}
      className="w-[320px]"
      trigger={(props) => (
        <button
          type="button"
          {...props}
          className="flex flex-none items-center gap-1.5 px-3 text-quiet hover:text-base-content"
        >
          All {entries.length} {what} <ChevronDown size={14} aria-hidden />
        </button>
      )}
    >
      {(close) => (
        <SearchList label={`All ${what}`} placeholder="Search by name" empty="Nothing has that name." current={current}>
          {(asked) =>
            findByWords(entries, ({ name }) => name, asked).map(({ slug, name, mark }) => (
              <Command.Item
                key={slug}
                value={slug}
                className={`flex cursor-pointer items-center rounded-lg px-2.5 py-1.5 data-[selected=true]:bg-plum-soft ${slug === current ? "font-semibold" : ""}`}
                onSelect={() => {
                  close();
                  void navigate(to(slug));
                }}
              >
                {mark}
                <span className="truncate">{name}</span>
              </Command.Item>
            ))
          }
        </SearchList>
      )}
    </Popover>
  );
}
