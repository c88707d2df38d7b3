import type { ComponentType } from "preact";
import { useState } from "preact/hooks";
import { matchesWords, words } from "../../../core/engine/index/words.ts";
import { isStill, WithoutScripts } from "../without-scripts.tsx";
import type { DisplayProps, OptionView } from "./display-props.ts";

export interface OptionProps extends Pick<DisplayProps, "row" | "name" | "settings" | "toggle" | "say"> {
  option: OptionView;
}

/** The maximum height of a list, as a custom property. */
export const limitOf = ({ maxHeight }: Pick<DisplayProps["settings"], "maxHeight">): Record<string, string> =>
  maxHeight > 0 ? { "--limit": `${maxHeight}px` } : {};

interface Props extends DisplayProps {
  /** Draws one option. */
  Option: ComponentType<OptionProps>;
  class: string;
  /** Number of options in the space of one check box. Default: 1. */
  dense?: number;
  /** Options are in a row, whatever the setting. */
  inRow?: boolean;
}

/**
 * An open list of options: searchable, folded, limited in height, in columns or in a row, according to the facet's
 * settings. Chosen options are always shown in their place, so that no active filter is hidden.
 */
export function OptionList({ Option, class: kind, dense = 1, inRow = false, ...props }: Props) {
  const { settings, options, row, name, toggle, label, id, say } = props;
  const [open, setOpen] = useState(false);
  const [asked, setAsked] = useState("");
  const query = words(asked);
  const found =
    query.length === 0 ? options : options.filter((option) => option.chosen || matchesWords(option.label, query));
  const after = settings.foldAfter * dense;
  // A single further option takes no more space than the button that would hide it.
  const folds = settings.foldAfter > 0 && query.length === 0 && found.length > after + 1;
  const shown = folds && !open ? found.filter((option, place) => place < after || option.chosen) : found;
  // Without scripts all options must be in the markup to be visible.
  const rest = folds && isStill ? found.filter((option) => !shown.includes(option)) : [];
  const flow = inRow || settings.flow === "row" ? "row" : "column";
  const columns = flow === "column" && settings.columns > 1 ? settings.columns : undefined;
  const draw = (option: OptionView) => (
    <li key={option.id}>
      <Option row={row} name={name} settings={settings} option={option} toggle={toggle} say={say} />
    </li>
  );
  return (
    <>
      {settings.searchInside ? (
        <input
          class="zt-inside"
          type="search"
          aria-label={say("findIn", { label })}
          placeholder={say("find")}
          aria-controls={`${id}-options`}
          onInput={(event) => setAsked(event.currentTarget.value)}
        />
      ) : null}
      <ul
        id={`${id}-options`}
        class={`zt-options ${kind}`}
        data-flow={flow}
        data-limited={settings.maxHeight > 0 || undefined}
        tabIndex={settings.maxHeight > 0 ? 0 : undefined}
        aria-label={label}
        data-columns={columns}
        style={{ "--columns": columns, ...limitOf(settings) }}
      >
        {shown.map(draw)}
      </ul>
      {query.length > 0 && shown.length === 0 ? <p class="zt-hint">{say("notCalled")}</p> : null}
      {folds ? (
        <button
          type="button"
          class="zt-more"
          aria-expanded={open}
          aria-controls={`${id}-options`}
          onClick={() => setOpen(!open)}
        >
          {open ? say("showFewer") : say("showAll", { n: found.length })}
        </button>
      ) : null}
      {rest.length > 0 ? (
        <WithoutScripts>
          <details class="zt-rest">
            <summary class="zt-more">{say("showAll", { n: found.length })}</summary>
            <ul class={`zt-options ${kind}`} data-flow={flow} data-columns={columns} style={{ "--columns": columns }}>
              {rest.map(draw)}
            </ul>
          </details>
        </WithoutScripts>
      ) : null}
    </>
  );
}
