import { Command } from "cmdk";
import { useState } from "react";
import { combineEdits } from "../../core/document/edit.ts";
import { addRow, moveRow, type PanelEdit } from "../../core/panel/edit.ts";
import { suggestRow } from "../../core/panel/suggest/suggest.ts";
import { findByWords } from "../shell/find-actions.ts";
import { useOpenShop } from "../shell/shop-context.ts";
import { freeFields, freePieces } from "./additions.ts";
import { useBench, usePanel, useSession } from "./bench-context.ts";

/** Every field and piece not in the panel yet, to add at the position pointed at. */
export function AddHere() {
  const { panel: store, session } = useBench();
  const at = useSession((state) => state.adding);
  const [asked, setAsked] = useState("");
  const close = () => {
    session.setState({ adding: undefined });
    setAsked("");
  };
  return (
    <Command.Dialog
      open={at !== undefined}
      onOpenChange={(open) => open || close()}
      label="Add a facet or a piece here"
      shouldFilter={false}
      overlayClassName="fixed inset-0 z-50 bg-[#321a3d55]"
      contentClassName="fixed left-1/2 top-[14vh] z-50 w-[460px] max-w-[94vw] -translate-x-1/2 overflow-hidden rounded-box bg-base-100 shadow-2xl"
    >
      <Command.Input
        placeholder="Find a facet or piece to add"
        value={asked}
        onValueChange={setAsked}
        className="w-full border-b border-hair bg-transparent px-4 py-3 text-[15px]"
      />
      <Command.List className="max-h-[50vh] overflow-auto p-1.5">
        <Command.Empty className="px-3 py-4 text-quiet">Nothing has that name.</Command.Empty>
        {at === undefined ? null : (
          <Choices
            asked={asked}
            take={(edit, id, name) => {
              store.getState().apply(combineEdits(`Add ${name}`, [edit, moveRow(id, at, name)]));
              close();
            }}
          />
        )}
      </Command.List>
    </Command.Dialog>
  );
}

interface ChoicesProps {
  asked: string;
  take(edit: PanelEdit, id: string, name: string): void;
}

function Choices({ asked, take }: ChoicesProps) {
  const shop = useOpenShop();
  const panel = usePanel((state) => state.document);
  const choices = [
    ...freeFields(shop, panel).map(({ profile }) => {
      const { key, name } = profile.field;
      const row = suggestRow(profile);
      return { key: `field ${key}`, name, take: () => take(addRow(row, name), row.id, name) };
    }),
    ...freePieces(shop, panel).map(({ name, edit, id }) => ({
      key: `piece ${name}`,
      name,
      take: () => take(edit, id, name),
    })),
  ];
  return findByWords(choices, ({ name }) => name, asked).map((one) => (
    <Command.Item
      key={one.key}
      value={one.key}
      className="cursor-pointer rounded-lg px-3 py-2 data-[selected=true]:bg-plum-soft"
      onSelect={one.take}
    >
      {one.name}
    </Command.Item>
  ));
}
