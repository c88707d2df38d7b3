import { Command } from "cmdk";
import { useMemo, useState } from "react";
import { useNavigate, useParams } from "react-router";
import { historyOf, type Stepped } from "./history.ts";
import { useKeys } from "./keys.ts";
import { Shortcuts } from "./shortcuts.tsx";
import { shopViews } from "./views.ts";

/** Something that can be done, by its name. */
export interface Action {
  name: string;
  run(): void;
}

interface Props {
  /** The documents that the view changes. */
  stores?: readonly Stepped[];
  /** What this view brings along; asked when the list opens. */
  actions?: () => Action[];
}

const none: readonly Stepped[] = [];
const nothing = (): Action[] => [];

/** Everything that can be done in a view, by name: Ctrl K; and what the keyboard can do: “?”. */
export function Commands({ stores = none, actions = nothing }: Props) {
  const [open, setOpen] = useState(false);
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
    <>
      <Command.Dialog
        open={open}
        onOpenChange={setOpen}
        label="All actions"
        overlayClassName="fixed inset-0 z-50 bg-[#321a3d55]"
        contentClassName="fixed left-1/2 top-[14vh] z-50 w-[560px] max-w-[94vw] -translate-x-1/2 overflow-hidden rounded-box bg-base-100 shadow-2xl"
      >
        <Command.Input
          placeholder="What do you want to do?"
          className="w-full border-b border-hair bg-transparent px-4 py-3 text-[15px]"
        />
        <Command.List className="max-h-[50vh] overflow-auto p-1.5">
          <Command.Empty className="px-3 py-4 text-quiet">No action has that name.</Command.Empty>
          {open ? <Actions stores={stores} actions={actions} close={() => setOpen(false)} /> : null}
        </Command.List>
      </Command.Dialog>
      <Shortcuts />
    </>
  );
}

function Actions({ stores, actions, close }: Required<Props> & { close(): void }) {
  const navigate = useNavigate();
  const { shop } = useParams();
  const all: Action[] = [
    ...(stores.length > 0
      ? [
          { name: "Undo", run: () => historyOf(stores).undo() },
          { name: "Redo", run: () => historyOf(stores).redo() },
        ]
      : []),
    ...actions(),
    ...(shop === undefined
      ? []
      : shopViews(shop).map(({ to, label }) => ({
          name: `Go to the ${label.toLowerCase()}`,
          run: () => navigate(to),
        }))),
    { name: "Go to all shops", run: () => navigate("/") },
    { name: "New shop from a file", run: () => navigate("/new") },
  ];
  return all.map(({ name, run }) => (
    <Command.Item
      key={name}
      value={name}
      className="cursor-pointer rounded-lg px-3 py-2 data-[selected=true]:bg-plum-soft"
      onSelect={() => {
        run();
        close();
      }}
    >
      {name}
    </Command.Item>
  ));
}
