/** @jsxImportSource preact */
import type { VNode } from "preact";
import { useRef, useState } from "preact/hooks";
import { toggle, withChoice } from "../core/match/selection.ts";
import { resolve } from "../core/panel/bands.ts";
import { type FacetRow, rowLabel } from "../core/panel/document.ts";
import { settingsOn } from "../core/panel/settings.ts";
import { displays } from "./displays/index.ts";
import { formatterOf } from "./format.ts";
import { bandViews, optionViews } from "./option-views.ts";
import type { Actions } from "./page-view.tsx";
import type { PageState } from "./store.ts";

interface Props {
  row: FacetRow;
  state: PageState;
  act: Actions;
}

/** One facet: its title, which folds it, and its options in the display of the present band. */
export function FacetView(props: Props) {
  const drawn = useRef<{ props: Props; view: VNode } | undefined>(undefined);
  // What looks the same is not drawn anew: on the stage most changes are of one row among many.
  if (!drawn.current || !looksSame(drawn.current.props, props)) drawn.current = { props, view: <DrawnFacet {...props} /> };
  return drawn.current.view;
}

/** Whether everything that a facet is drawn from is the same. */
function looksSame({ row, state }: Props, { row: nextRow, state: next }: Props): boolean {
  const [before, after] = [state.answer.facets[row.field], next.answer.facets[row.field]];
  return (
    row === nextRow &&
    state.band === next.band &&
    state.language === next.language &&
    state.selection === next.selection &&
    state.swatches === next.swatches &&
    (state.marked === row.id) === (next.marked === row.id) &&
    before?.counts.live === after?.counts.live &&
    before?.counts.steady === after?.counts.steady &&
    before?.range?.live === after?.range?.live
  );
}

function DrawnFacet({ row, state, act }: Props) {
  const settings = settingsOn(row.settings, state.band);
  const { start } = settings;
  // A new setting of the designer's takes the place of what the shopper did before.
  const [fold, setFold] = useState({ start, open: start !== "folded" });
  const field = state.fields.get(row.field);
  const answer = state.answer.facets[row.field];
  if (!field || !answer) return null;
  const choice = state.selection.choices[row.field];
  const format = formatterOf(field, state.shop.currency, settings, state.language);
  const options = answer.range ? [] : optionViews(state, row, settings, answer);
  const bands = answer.range ? bandViews(state, row, settings, answer, format) : [];
  // A facet with nothing left drops out too, and comes back at the same place.
  const left = answer.range ? answer.range.live.min !== null || choice !== undefined : options.length > 0;
  if (settings.deadEnd === "drop" && !left) return null;

  const open = fold.start === start ? fold.open : start !== "folded";
  // Without a title nothing could open it again.
  const folds = settings.title && start !== "fixed";
  const label = rowLabel(row, state.language) || field.name;
  const id = `zt-${row.id}`;
  const { View } = displays[resolve(row.display, state.band)];
  return (
    <section
      class="zt-facet"
      data-row={row.id}
      data-share={settings.share}
      data-marked={state.marked === row.id || undefined}
      data-folded={(folds && !open) || undefined}
    >
      {settings.title ? (
        <h3 class="zt-title" title={settings.hint || undefined}>
          {folds ? (
            <button
              type="button"
              class="zt-fold"
              aria-expanded={open}
              aria-controls={id}
              aria-describedby={settings.hint ? `${id}-hint` : undefined}
              onClick={() => setFold({ start, open: !open })}
            >
              {label}
            </button>
          ) : (
            label
          )}
        </h3>
      ) : null}
      {settings.hint ? (
        <p id={`${id}-hint`} class="zt-tip" role="tooltip">
          {settings.hint}
        </p>
      ) : null}
      <div id={id} class="zt-body" hidden={folds && !open} role="group" aria-label={label}>
        <View
          row={row}
          field={field}
          settings={settings}
          label={label}
          id={id}
          options={options}
          choice={choice}
          range={answer.range}
          bands={bands}
          toggle={(option) => act.select(toggle(state.selection, row, option))}
          choose={(next) => act.select(withChoice(state.selection, row.field, next))}
          format={format}
        />
        {settings.clearLink ? (
          <button
            type="button"
            class="zt-clear"
            disabled={choice === undefined}
            aria-label={`Clear ${label}`}
            onClick={() => act.select(withChoice(state.selection, row.field, undefined))}
          >
            Clear
          </button>
        ) : null}
      </div>
    </section>
  );
}
