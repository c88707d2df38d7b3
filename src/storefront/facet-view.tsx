/** @jsxImportSource preact */
import { useState } from "preact/hooks";
import { toggle, withChoice } from "../core/match/selection.ts";
import { resolve } from "../core/panel/bands.ts";
import type { FacetRow } from "../core/panel/document.ts";
import { displays } from "./displays/index.ts";
import { formatterOf } from "./format.ts";
import { optionViews } from "./option-views.ts";
import type { Actions } from "./page-view.tsx";
import type { PageState } from "./store.ts";

interface Props {
  row: FacetRow;
  state: PageState;
  act: Actions;
}

/** One facet: its title, which folds it, and its options in the display of the present band. */
export function FacetView({ row, state, act }: Props) {
  // A new setting of the designer's takes the place of what the shopper did before.
  const [fold, setFold] = useState({ start: row.start, open: row.start !== "folded" });
  const open = fold.start === row.start ? fold.open : row.start !== "folded";
  const field = state.fields.get(row.field);
  const answer = state.answer.facets[row.field];
  if (!field || !answer) return null;
  const options = answer.range ? [] : optionViews(state, row, answer);
  // A facet with nothing left drops out too.
  if (row.deadEnd === "drop" && options.length === 0 && !answer.range) return null;

  const label = row.label || field.name;
  const id = `zt-${row.id}`;
  const { View } = displays[resolve(row.display, state.band)];
  return (
    <section class="zt-facet" data-row={row.id} data-marked={state.marked === row.id || undefined} data-folded={!open || undefined}>
      {row.start === "fixed" ? (
        <h3 class="zt-title">{label}</h3>
      ) : (
        <h3 class="zt-title">
          <button type="button" class="zt-fold" aria-expanded={open} aria-controls={id} onClick={() => setFold({ start: row.start, open: !open })}>
            {label}
          </button>
        </h3>
      )}
      <div id={id} class="zt-body" hidden={!open} role="group" aria-label={label}>
        <View
          row={row}
          field={field}
          label={label}
          id={id}
          options={options}
          choice={state.selection.choices[row.field]}
          range={answer.range}
          toggle={(option) => act.select(toggle(state.selection, row, option))}
          choose={(choice) => act.select(withChoice(state.selection, row.field, choice))}
          format={formatterOf(field, state.shop.currency)}
        />
      </div>
    </section>
  );
}
