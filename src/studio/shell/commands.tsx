import { Command } from "cmdk";
import { lazy, Suspense, useEffect, useMemo, useState } from "react";
import type { Action, ViewActions } from "./action.ts";
import type { Stepped } from "./history.ts";
import { useKeys } from "./keys.ts";

const none: readonly Stepped[] = [];
const nothing = (): Action[] => [];

const load = () => import("./command-list.tsx");
const CommandList = lazy(async () => ({ default: (await load()).CommandList }));

/** Time after which the actions are loaded though nobody has asked for them, in ms. */
const soon = 300;

/**
 * A searchable list of all actions in a view: Ctrl K. The field is there at once, so that no key is lost; the actions
 * are loaded once the view itself is there.
 */
export function Commands({ stores = none, actions = nothing }: Partial<ViewActions>) {
  const [open, setOpen] = useState(false);
  const [asked, setAsked] = useState("");
  const close = () => {
    setOpen(false);
    setAsked("");
  };
  useEffect(() => {
    const timer = setTimeout(() => void load().catch(() => undefined), soon);
    return () => clearTimeout(timer);
  }, []);
  useKeys(
    useMemo(
      () => ({
        "$mod+k": (event) => {
          event.preventDefault();
          setOpen((now) => !now);
        },
      }),
      [],
    ),
  );
  return (
    <Command.Dialog
      open={open}
      onOpenChange={(now) => (now ? setOpen(true) : close())}
      label="All actions"
      shouldFilter={false}
      overlayClassName="fixed inset-0 z-50 bg-[#321a3d55]"
      contentClassName="fixed left-1/2 top-[14vh] z-50 w-[560px] max-w-[94vw] -translate-x-1/2 overflow-hidden rounded-box bg-base-100 shadow-2xl"
    >
      <Command.Input
        placeholder="What do you want to do?"
        value={asked}
        onValueChange={setAsked}
        className="w-full border-b border-hair bg-transparent px-4 py-3 text-[15px]"
      />
      <Command.List className="max-h-[50vh] overflow-auto p-1.5">
        <Suspense fallback={<p className="px-3 py-4 text-quiet">Loading…</p>}>
          {open ? <CommandList stores={stores} actions={actions} asked={asked} close={close} /> : null}
        </Suspense>
      </Command.List>
    </Command.Dialog>
  );
}
