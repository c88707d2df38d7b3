import { Command } from "cmdk";
import { useEffect, useState } from "react";
import { useNavigate } from "react-router";
import { suggestRow } from "../../core/evidence/suggest.ts";
import { bands } from "../../core/panel/bands.ts";
import { isFacet, placements } from "../../core/panel/document.ts";
import { addRow, duplicateRow, moveRow, removeRow, setPlacement } from "../../core/panel/edit.ts";
import { chooseDisplay, displayChoices } from "../../storefront/displays/choose.ts";
import { useOpenShop } from "../shell/shop-context.ts";
import { addSuggested, freeFields, freePieces } from "./add-menu.tsx";
import { useBench, usePanel } from "./bench-context.ts";
import { rowTitle } from "./row-title.ts";

interface Action {
  name: string;
  run(): void;
}

/** Everything that can be done on the bench, by name: Ctrl K. */
export function Commands() {
  const [open, setOpen] = useState(false);
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      if ((event.ctrlKey || event.metaKey) && event.key.toLowerCase() === "k") {
        event.preventDefault();
        setOpen((now) => !now);
      }
    };
    addEventListener("keydown", onKey);
    return () => removeEventListener("keydown", onKey);
  }, []);
  return (
    <Command.Dialog
      open={open}
      onOpenChange={setOpen}
      label="All actions"
      overlayClassName="fixed inset-0 z-50 bg-[#321a3d55]"
      contentClassName="fixed left-1/2 top-[14vh] z-50 w-[560px] max-w-[94vw] -translate-x-1/2 overflow-hidden rounded-box bg-base-100 shadow-2xl"
    >
      <Command.Input placeholder="What do you want to do?" className="w-full border-b border-hair bg-transparent px-4 py-3 text-[15px]" />
      <Command.List className="max-h-[50vh] overflow-auto p-1.5">
        <Command.Empty className="px-3 py-4 text-quiet">No action has that name.</Command.Empty>
        {open ? <Actions close={() => setOpen(false)} /> : null}
      </Command.List>
    </Command.Dialog>
  );
}

function Actions({ close }: { close(): void }) {
  const shop = useOpenShop();
  const { panel: store, session } = useBench();
  const panel = usePanel((state) => state.document);
  const navigate = useNavigate();
  const { apply, undo, redo } = store.getState();
  const suggested = addSuggested(shop, panel);
  const actions: Action[] = [
    { name: "Undo", run: undo },
    { name: "Redo", run: redo },
    { name: "Clear what is chosen on the stage", run: () => session.setState({ selection: { choices: {}, text: "" } }) },
    ...freeFields(shop, panel).map(({ profile }) => ({
      name: `Add ${profile.field.name}`,
      run: () => apply(addRow(suggestRow(profile), profile.field.name)),
    })),
    { name: suggested.edit.words, run: () => apply(suggested.edit) },
    ...freePieces(shop, panel).map(({ name, edit }) => ({ name: `Add ${name}`, run: () => apply(edit) })),
    ...panel.rows.flatMap((row, at) => {
      const title = rowTitle(row, shop.fieldOf);
      return [
        { name: `Settings of ${title}`, run: () => session.setState({ unfolded: row.id }) },
        { name: `Duplicate ${title}`, run: () => apply(duplicateRow(row.id, title)) },
        { name: `Move ${title} up`, run: () => apply(moveRow(row.id, at - 1, title)) },
        { name: `Move ${title} down`, run: () => apply(moveRow(row.id, at + 1, title)) },
        { name: `Remove ${title}`, run: () => apply(removeRow(row.id, title)) },
      ];
    }),
    ...bands.flatMap((band) =>
      placements.map((placement) => ({ name: `Place the panel on ${band}: ${placement}`, run: () => apply(setPlacement(band, placement)) })),
    ),
    ...bands.flatMap((band) =>
      panel.rows.filter(isFacet).flatMap((row) => {
        const title = rowTitle(row, shop.fieldOf);
        const profile = shop.profileOf(row.field);
        return (profile ? displayChoices(profile) : [])
          .filter(({ unsuited }) => unsuited === undefined)
          .map(({ name, label }) => ({
            name: `Show ${title} as ${label.toLowerCase()} on ${band}`,
            run: () => apply(chooseDisplay(row, band, name, title)),
          }));
      }),
    ),
    { name: "Go to the catalogue", run: () => navigate(`/shops/${shop.shop.slug}/catalogue`) },
    { name: "Go to all shops", run: () => navigate("/") },
  ];
  return actions.map(({ name, run }) => (
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
