import { Command } from "cmdk";
import { ChevronDown } from "lucide-react";
import type { PageKind } from "../../core/page/layout.ts";
import type { PageRef } from "../../core/page/page-list.ts";
import { pageKindNames, pageName } from "../shell/page-names.ts";
import { Popover } from "../shell/popover.tsx";
import { useAllPages } from "../shell/shop-context.ts";
import { useBench, useSession } from "./bench-context.ts";

/** Chooses the page that is on the stage, by name and by keyboard. */
export function PageChoice() {
  const { session } = useBench();
  const address = useSession((state) => state.address);
  const pages = useAllPages();
  const shown = pages.find((one) => one.address === address);
  return (
    <Popover
      label="Page on the stage"
      className="w-[360px]"
      trigger={(props) => (
        <button
          type="button"
          {...props}
          className="btn btn-sm min-w-0 max-w-64 flex-nowrap gap-1.5 bg-base-100 font-medium"
          aria-label={`Page on the stage: ${shown ? pageName(shown) : address}`}
        >
          <span className="truncate">{shown ? pageName(shown) : address}</span>
          <ChevronDown size={14} aria-hidden className="flex-none" />
        </button>
      )}
    >
      {(close) => (
        <Command label="Pages">
          <Command.Input
            placeholder="Find a page"
            className="w-full border-b border-hair bg-transparent px-3 py-2.5"
            autoFocus
          />
          <Command.List className="max-h-[46vh] overflow-auto p-1.5">
            <Command.Empty className="px-3 py-4 text-quiet">No page has that name.</Command.Empty>
            {groupsOf(pages).map(([kind, some]) => (
              <Command.Group
                key={kind}
                heading={pageKindNames[kind]}
                className="[&_[cmdk-group-heading]]:px-2 [&_[cmdk-group-heading]]:py-1 [&_[cmdk-group-heading]]:text-[13px] [&_[cmdk-group-heading]]:text-quiet"
              >
                {some.map((one) => (
                  <Command.Item
                    key={one.address}
                    value={`${pageName(one)} ${one.address}`}
                    className="flex cursor-pointer items-baseline justify-between gap-3 rounded-lg px-2.5 py-1.5 data-[selected=true]:bg-plum-soft"
                    onSelect={() => {
                      session.setState({ address: one.address });
                      close();
                    }}
                  >
                    <span className={`truncate ${one.address === address ? "font-semibold" : ""}`}>
                      {pageName(one)}
                    </span>
                    <span className="max-w-44 flex-none truncate text-[13px] text-quiet">{one.address}</span>
                  </Command.Item>
                ))}
              </Command.Group>
            ))}
          </Command.List>
        </Command>
      )}
    </Popover>
  );
}

function groupsOf(pages: readonly PageRef[]): [PageKind, PageRef[]][] {
  const groups = new Map<PageKind, PageRef[]>();
  for (const page of pages) groups.set(page.kind, [...(groups.get(page.kind) ?? []), page]);
  return [...groups];
}
