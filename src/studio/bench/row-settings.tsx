import { useState } from "react";
import { displays } from "../../core/displays/displays.ts";
import { combineEdits } from "../../core/document/edit.ts";
import type { Mode } from "../../core/engine/question.ts";
import { supportedSettings } from "../../core/panel/choose-display.ts";
import { followSetting, resetSetting, setMode, setSetting, setTranslation } from "../../core/panel/edit.ts";
import { engineMerges } from "../../core/panel/options.ts";
import { isFacet, rulesOf } from "../../core/panel/panel.ts";
import type { FacetRow } from "../../core/panel/panel-schema.ts";
import { type Band, bands, resolve } from "../../core/settings/band.ts";
import { settingDefinition } from "../../core/settings/setting-definitions.ts";
import {
  bandedSetting,
  isBanded,
  type SettingName,
  type SettingValue,
  settingOn,
} from "../../core/settings/settings.ts";
import { Choice, type ChoiceOption } from "../controls/choice.tsx";
import type { SetValue } from "../controls/setting-control.tsx";
import { TextControl } from "../controls/text-control.tsx";
import { useAsked, useOpenShop, useShopSettings } from "../shell/shop-context.ts";
import { useBench } from "./bench-context.ts";
import { FacetStyle } from "./facet-style.tsx";
import { OptionEditor } from "./option-editor.tsx";
import { BandedLine, SingleLine } from "./setting-line.tsx";

/** A facet's settings and options, opened below its row. */
export function RowSettings({ row, title }: { row: FacetRow; title: string }) {
  const [part, setPart] = useState<"settings" | "options" | "style">("settings");
  const discrete = row.mode !== "range";
  return (
    <div className="border-t border-hair/70 py-2" data-settings-of={row.id}>
      <div role="tablist" aria-label={`Parts of ${title}`} className="mb-2 flex gap-4 px-9 text-[13px]">
        {(discrete ? (["settings", "options", "style"] as const) : (["settings", "style"] as const)).map((one) => (
          <button
            key={one}
            type="button"
            role="tab"
            aria-selected={part === one}
            className={`border-b-2 py-0.5 font-medium capitalize ${part === one ? "border-accent" : "border-transparent text-quiet hover:text-base-content"}`}
            onClick={() => setPart(one)}
          >
            {one}
          </button>
        ))}
      </div>
      {part === "style" ? (
        <div className="px-9">
          <FacetStyle row={row} title={title} band="wide" />
        </div>
      ) : discrete && part === "options" ? (
        <OptionEditor row={row} title={title} />
      ) : (
        <Settings row={row} title={title} />
      )}
    </div>
  );
}

function Settings({ row, title }: { row: FacetRow; title: string }) {
  const names = supportedSettings(row).filter((name) => isAsked(row, name));
  const single = names.filter((name) => !isBanded(name));
  const banded = names.filter((name) => isBanded(name));
  const languages = useShopSettings((settings) => settings.languages);
  const store = useBench().panel;
  return (
    <div className="grid gap-1.5">
      <ModeSetting row={row} title={title} />
      {single.map((name) => (
        <SingleSetting key={name} row={row} name={name} title={title} />
      ))}
      {languages.map((language) => (
        <div key={language} className="flex items-center gap-2 px-9">
          <span className="w-26 flex-none text-[13px] text-quiet">Label, {language}</span>
          <TextControl
            name={`Label of ${title} in ${language}`}
            value={row.labels?.[language] ?? ""}
            longest={200}
            set={(text) => store.getState().apply(setTranslation(row.id, language, text, title))}
          />
        </div>
      ))}
      {banded.length > 0 ? (
        <div className="mt-1 border-t border-hair/70 pt-1">
          {banded.map((name) => (
            <BandedSetting key={name} row={row} name={name} title={title} />
          ))}
        </div>
      ) : null}
    </div>
  );
}

/** Some settings have an effect only together with another. */
function isAsked({ settings }: FacetRow, name: SettingName): boolean {
  if (name === "min" || name === "max") return settingOn(settings, "ends", "wide") === "typed";
  if (name === "rangeLimits") return settingOn(settings, "rangeBy", "wide") === "typed";
  if (name === "rangeCount") return settingOn(settings, "rangeBy", "wide") !== "typed";
  return true;
}

/** Any-of, all-of or only one, each with the number of products for an example. */
function ModeSetting({ row, title }: { row: FacetRow; title: string }) {
  const store = useBench().panel;
  const { desk } = useOpenShop();
  const discrete = row.mode !== "range" && row.mode !== "tree";
  const merges = engineMerges(rulesOf(row));
  const example = useAsked(
    async () => (discrete ? desk.modeExample({ field: row.field, mode: row.mode, merges }) : undefined),
    `${discrete} ${row.field} ${JSON.stringify(merges)}`,
  );
  if (!discrete || !example) return null;
  const carried = (mode: Mode) => bands.every((band) => displays[resolve(row.display, band)].modes.includes(mode));
  const option = (value: "any" | "all" | "one", label: string): ChoiceOption<typeof value> => ({
    value,
    label,
    number: example[value],
    off: carried(value) ? undefined : "One of this facet’s displays doesn’t support this. Change the display first.",
  });
  return (
    <>
      <div className="flex items-center gap-2 px-9">
        <span className="w-26 flex-none text-[13px] text-quiet">Combine choices</span>
        <Choice
          label="Combine choices"
          value={row.mode as "any" | "all" | "one"}
          options={[option("any", "any of"), option("all", "all of"), option("one", "only one")]}
          set={(mode) =>
            store
              .getState()
              .apply(setMode(row, mode, `${title}: ${{ any: "any of", all: "all of", one: "only one" }[mode]}`))
          }
        />
      </div>
      <p className="-mt-1 px-9 ps-[148px] text-[13px] text-quiet">
        Products for {example.options[0]} and {example.options[1]} chosen together
      </p>
    </>
  );
}

/** Sets one setting: of all selected rows if this is one of them. */
function useSetter(row: FacetRow, title: string) {
  const { panel: store, session } = useBench();
  return (name: SettingName, value: SetValue, band?: Band) => {
    const { chosen } = session.getState();
    const rows = store.getState().document.rows.filter(isFacet);
    const others = chosen.includes(row.id) ? rows.filter(({ id }) => id !== row.id && chosen.includes(id)) : [];
    const edit = (id: string, called: string) => setSetting(id, name, value as SettingValue, called, band);
    const own = edit(row.id, title);
    const all = [own, ...others.map(({ id }) => edit(id, id))];
    store.getState().apply(others.length === 0 ? own : combineEdits(`${own.words}, and ${others.length} more`, all));
  };
}

interface SettingProps {
  row: FacetRow;
  name: SettingName;
  title: string;
}

function SingleSetting({ row, name, title }: SettingProps) {
  const set = useSetter(row, title);
  const store = useBench().panel;
  return (
    <SingleLine
      definition={settingDefinition(name)}
      of={title}
      value={settingOn(row.settings, name, "wide")}
      isSet={row.settings[name] !== undefined}
      set={(next) => set(name, next)}
      reset={() => store.getState().apply(resetSetting(row.id, name, title))}
    />
  );
}

function BandedSetting({ row, name, title }: SettingProps) {
  const set = useSetter(row, title);
  const store = useBench().panel;
  return (
    <BandedLine
      definition={settingDefinition(name)}
      of={title}
      setting={bandedSetting(row.settings, name)}
      isSet={row.settings[name] !== undefined}
      set={(next, band) => set(name, next, band)}
      reset={() => store.getState().apply(resetSetting(row.id, name, title))}
      follow={(band) => store.getState().apply(followSetting(row.id, name, band, title))}
    />
  );
}
