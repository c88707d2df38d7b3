import { emptySelection } from "../../core/engine/selection.ts";
import { chooseDisplay, displayChoices, supportedSettings } from "../../core/panel/choose-display.ts";
import { addRow, duplicateRow, moveRow, removeRow } from "../../core/panel/edit.ts";
import { isFacet } from "../../core/panel/panel.ts";
import { rowTitle } from "../../core/panel/row-title.ts";
import { suggestRow } from "../../core/panel/suggest/suggest.ts";
import { bands } from "../../core/settings/band.ts";
import { type BehaviourName, behaviourFacts } from "../../core/settings/behaviour.ts";
import { behaviourDefinition } from "../../core/settings/behaviour-definitions.ts";
import { placements } from "../../core/settings/placement.ts";
import { settingDefinition } from "../../core/settings/setting-definitions.ts";
import type { SettingName } from "../../core/settings/settings.ts";
import type { Action } from "../shell/action.ts";
import type { OpenShop } from "../shell/shop-context.ts";
import { pressAct, whenThere } from "../shell/when-there.ts";
import { addSuggested, freeFields, freePieces } from "./additions.ts";
import type { Bench } from "./bench-context.ts";
import { takePictures } from "./panel-pictures.tsx";
import { printPanel } from "./panel-sheet.tsx";
import { placeOn } from "./place.ts";

/** Opens a row's settings and focuses one of them. */
function showSetting(session: Bench["session"], row: string, label: string): void {
  session.setState({ unfolded: row });
  whenThere(`[data-settings-of="${CSS.escape(row)}"] [aria-label^="${CSS.escape(label)}"]`, (control) => {
    control.scrollIntoView({ block: "center" });
    control.focus();
  });
}

/** Former names of settings, for those who know them by these. */
const formerNames: Partial<Record<SettingName, string>> = {
  emptyOptions: "dead ends lead nowhere",
  min: "least lowest",
  max: "most highest",
  order: "order sorting",
};

/** The name of a behaviour on its own: “its width” would be unclear. */
function behaviourWords(name: BehaviourName): string {
  const { label } = behaviourDefinition(name);
  return label.startsWith("Its ")
    ? name.replace(/[A-Z]/g, (letter) => ` ${letter.toLowerCase()}`)
    : label.toLowerCase();
}

/** All actions of the bench, by name. */
export function benchActions(shop: OpenShop, bench: Bench): Action[] {
  const { panel: store, session } = bench;
  const { apply, document: panel } = store.getState();
  const suggested = addSuggested(shop, panel);
  return [
    {
      name: "Clear all choices on the live page",
      run: () => session.setState({ selection: emptySelection, chosenBy: undefined }),
    },
    {
      name: session.getState().arranging ? "Try the page as a shopper would" : "Arrange rows on the page itself",
      run: () => session.setState(({ arranging }) => ({ arranging: !arranging })),
    },
    {
      name: "Rename this panel",
      also: "title name",
      run: () =>
        whenThere('input[aria-label="Panel name"]', (field) => {
          field.focus();
          if (field instanceof HTMLInputElement) field.select();
        }),
    },
    {
      name: "Remove, duplicate or move this panel",
      also: "delete copy order",
      run: () => pressAct("More for the panel"),
    },
    { name: "Print this panel or save it as a PDF", also: "paper", run: printPanel },
    { name: "Download pictures of this panel (PNG)", also: "image screenshot", run: takePictures },
    { name: "Measure the layout shift of every row", run: () => session.setState({ trials: bands }) },
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
        ...(isFacet(row)
          ? supportedSettings(row).map((setting) => ({
              name: `${title}: ${settingDefinition(setting).label.toLowerCase()}`,
              also: formerNames[setting] ?? "",
              run: () => showSetting(session, row.id, settingDefinition(setting).label),
            }))
          : []),
        { name: `Duplicate ${title}`, run: () => apply(duplicateRow(row, title)) },
        { name: `Move ${title} up`, run: () => apply(moveRow(row.id, at - 1, title)) },
        { name: `Move ${title} down`, run: () => apply(moveRow(row.id, at + 1, title)) },
        { name: `Remove ${title}`, run: () => apply(removeRow(row.id, title)) },
      ];
    }),
    ...(Object.keys(behaviourFacts) as BehaviourName[]).map((name) => ({
      name: `Panel: ${behaviourWords(name)}`,
      run: () => showSetting(session, "panel", behaviourDefinition(name).label),
    })),
    ...bands.flatMap((band) =>
      placements.map((placement) => ({
        name: `Place the panel on ${band}: ${placement}`,
        run: () => placeOn(band, placement, shop, bench),
      })),
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
  ];
}
