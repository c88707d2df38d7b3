import { lazy, Suspense, useEffect, useMemo, useState } from "react";
import type { Action, ViewActions } from "./action.ts";
import type { Stepped } from "./history.ts";
import { useKeys } from "./keys.ts";

const none: readonly Stepped[] = [];
const nothing = (): Action[] => [];

const load = () => import("./command-list.tsx");
const CommandList = lazy(async () => ({ default: (await load()).CommandList }));

/** Time after which the list is loaded though nobody has asked for it, in ms: what is typed at once must reach it. */
const soon = 1500;

/** A searchable list of all actions in a view: Ctrl K. It is loaded once the view itself is there. */
export function Commands({ stores = none, actions = nothing }: Partial<ViewActions>) {
  const [open, setOpen] = useState(false);
  const [wanted, want] = useState(false);
  useEffect(() => {
    const timer = setTimeout(() => void load().catch(() => undefined), soon);
    return () => clearTimeout(timer);
  }, []);
  useKeys(
    useMemo(
      () => ({
        "$mod+k": (event) => {
          event.preventDefault();
          want(true);
          setOpen((now) => !now);
        },
      }),
      [],
    ),
  );
  return wanted ? (
    <Suspense fallback={null}>
      <CommandList stores={stores} actions={actions} open={open} setOpen={setOpen} />
    </Suspense>
  ) : null;
}
