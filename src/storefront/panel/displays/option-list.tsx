import type { ComponentType } from "preact";
import { useState } from "preact/hooks";
import { fitsWords, words } from "../../../core/index/words.ts";
import type { DisplayProps, OptionView } from "./display-props.ts";

export interface OptionProps extends Pick<DisplayProps, "row" | "settings" | "toggle" | "say"> {
  option: OptionView;
}

interface Props extends DisplayProps {
  /** Draws one option. */
  Option: ComponentType<OptionProps>;
  class: string;
  /** Options that take the room of one check box. Default: 1. */
  dense?: number;
  /** Options stand one beside the other whatever the designer set. */
  inRow?: boolean;
}

/**
 * Options that lie open: searched, folded after some, limited in height, in columns or in a row, as the
 * facet's settings have it. Chosen options are always shown, at their place, so that none is hidden while
 * it narrows the page.
 */
export function OptionList({ Option, class: name, dense = 1, inRow = false, ...props }: Props) {
  const { settings, options, row, toggle, label, id, say } = props;
  const [open, setOpen] = useState(false);
  const [asked, setAsked] = useState("");
  const query = words(asked);
  const found =
    query.length === 0 ? options : options.filter((option) => option.chosen || fitsWords(option.label, query));
  const after = settings.foldAfter * dense;
  // One more option takes no more room than the button that would hide it.
  const folds = settings.foldAfter > 0 && query.length === 0 && found.length > after + 1;
  const shown = folds && !open ? found.filter((option, place) => place < after || option.chosen) : found;
  const flow = inRow || settings.flow === "row" ? "row" : "column";
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
        class={`zt-options ${name}`}
        data-flow={flow}
        data-limited={settings.maxHeight > 0 || undefined}
        tabIndex={settings.maxHeight > 0 ? 0 : undefined}
        aria-label={label}
        style={{
          "--columns": flow === "column" && settings.columns > 1 ? settings.columns : undefined,
          maxHeight: settings.maxHeight > 0 ? `${settings.maxHeight}px` : undefined,
        }}
      >
        {shown.map((option) => (
          <li key={option.id}>
            <Option row={row} settings={settings} option={option} toggle={toggle} say={say} />
          </li>
        ))}
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
    </>
  );
}
