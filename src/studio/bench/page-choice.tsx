import { Command } from "cmdk";
import { ChevronDown } from "lucide-react";
import type { PageRef } from "../../core/page/page-list.ts";
import type { PageKind } from "../../core/profile/page-kinds.ts";
import { findByWords } from "../shell/find-actions.ts";
import { pageKindNames, pageName } from "../shell/page-names.ts";
import { Popover } from "../shell/popover.tsx";
import { SearchList } from "../shell/search-list.tsx";
import { useAllPages } from "../shell/shop-context.ts";
import { useBench, useSession } from "./bench-context.ts";

/** Selects the stage's page, by name and keyboard. */
export function PageChoice() {
  const { session } = useBench();
  const address = useSession((state) => state.address);
  const pages = useAllPages();
  const shown = pages.find((one) => one.address === address);
  return (
    <Popover
      label="Page shown"
      className="w-[360px]"
      trigger={(props) => (
        <button
          type="button"
          {...props}
          className="btn btn-sm min-w-0 max-w-64 flex-nowrap gap-1.5 bg-base-100 font-medium"
          aria-label={`Page shown: ${shown ? pageName(shown) : address}`}
        >
          <span className="truncate">{shown ? pageName(shown) : address}</span>
          <ChevronDown size={14} aria-hidden className="flex-none" />
        </button>
      )}
    >
      {(close) => (
        <FoundPages
          pages={pages}
          current={address}
          choose={(one) => {
            session.setState({ address: one });
            close();
          }}
        />
      )}
    </Popover>
  );
}

interface FoundProps {
  pages: readonly PageRef[];
  current: string;
  choose(address: string): void;
}

/** All pages by kind; for a search in one list, best match first. */
function FoundPages({ pages, current, choose }: FoundProps) {
  const itemOf = (one: PageRef) => (
    <Command.Item
      key={one.address}
      value={one.address}
      className="flex cursor-pointer items-baseline justify-between gap-3 rounded-lg px-2.5 py-1.5 data-[selected=true]:bg-plum-soft"
      onSelect={() => choose(one.address)}
    >
      <span className={`truncate ${one.address === current ? "font-semibold" : ""}`}>{pageName(one)}</span>
      <span className="max-w-44 flex-none truncate text-[13px] text-quiet">{one.address}</span>
    </Command.Item>
  );
  return (
    <SearchList label="Pages" placeholder="Find a page" empty="No page has that name.">
      {(asked) =>
        asked.trim() === ""
          ? groupsOf(pages).map(([kind, some]) => (
              <Command.Group
                key={kind}
                heading={pageKindNames[kind]}
                className="[&_[cmdk-group-heading]]:px-2 [&_[cmdk-group-heading]]:py-1 [&_[cmdk-group-heading]]:text-[13px] [&_[cmdk-group-heading]]:text-quiet"
              >
                {some.map(itemOf)}
              </Command.Group>
            ))
          : findByWords(pages, (one) => `${pageName(one)} ${one.address}`, asked)
              .slice(0, most)
              .map(itemOf)
      }
    </SearchList>
  );
}

/** Number of pages listed for a search. */
const most = 100;

function groupsOf(pages: readonly PageRef[]): [PageKind, PageRef[]][] {
  const groups = new Map<PageKind, PageRef[]>();
  for (const page of pages) groups.set(page.kind, [...(groups.get(page.kind) ?? []), page]);
  return [...groups];
}
