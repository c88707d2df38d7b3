import type { VNode } from "preact";
import { useContext, useRef, useState } from "preact/hooks";
import type { Field } from "../../core/catalogue/field.ts";
import type { FacetAnswer } from "../../core/engine/answer.ts";
import { choiceOf } from "../../core/engine/selection.ts";
import { nameIn } from "../../core/page/browse-state/address.ts";
import { rowLabel } from "../../core/panel/panel.ts";
import type { FacetRow } from "../../core/panel/panel-schema.ts";
import { resolve } from "../../core/settings/band.ts";
import { type FacetSettings, settingsOn } from "../../core/settings/settings.ts";
import { fieldTitle } from "../words/field-title.ts";
import type { DisplayProps } from "./displays/display-props.ts";
import { viewOf } from "./displays/views.ts";
import { FacetTitle } from "./facet-title.tsx";
import { formatterOf } from "./format.ts";
import { optionViews, rangeViews } from "./option-views.ts";
import type { PanelState, Perform } from "./panel-state.ts";
import { type Peek, PeekContext } from "./peek.ts";
import { useOptimisticState } from "./use-optimistic-state.ts";
import { usePainted } from "./use-painted.ts";

interface Props {
  row: FacetRow;
  state: PanelState;
  perform: Perform;
}

/**
 * One facet: its title, which collapses it, and its options in the present band's display. Facets out of sight are
 * updated a frame later, so that a click responds sooner.
 */
export function FacetView({ inSight, ...now }: Props & { inSight: boolean }) {
  const before = usePainted(now.state);
  const props = inSight ? now : { ...now, state: before };
  const drawn = useRef<{ props: Props; view: VNode } | undefined>(undefined);
  // Unchanged facets are not rendered again: most changes concern one row of many.
  if (!drawn.current || !looksSame(drawn.current.props, props))
    drawn.current = { props, view: <DrawnFacet {...props} /> };
  return drawn.current.view;
}

/** Whether everything a facet depends on is the same. */
function looksSame({ row, state }: Props, { row: nextRow, state: next }: Props): boolean {
  const [before, after] = [state.answer.facets[row.field], next.answer.facets[row.field]];
  return (
    row === nextRow &&
    state.id === next.id &&
    state.band === next.band &&
    state.say === next.say &&
    choiceOf(state.selection, row.field) === choiceOf(next.selection, row.field) &&
    state.swatches === next.swatches &&
    (state.marked === row.id) === (next.marked === row.id) &&
    before?.options === after?.options &&
    before?.ranges === after?.ranges &&
    before?.counts.live === after?.counts.live &&
    before?.counts.steady === after?.counts.steady &&
    before?.range?.live === after?.range?.live
  );
}

function DrawnFacet({ row, state: given, perform: act }: Props) {
  const { state, perform } = useOptimisticState(row.field, given, act);
  const peek = useContext(PeekContext);
  const settings = settingsOn(row.settings, state.band);
  const { start } = settings;
  // A changed setting of the designer's resets what the shopper did.
  const [fold, setFold] = useState({ start, open: start !== "folded" });
  const field = state.fields.get(row.field);
  const answer = state.answer.facets[row.field];
  const View = viewOf(resolve(row.display, state.band))?.View;
  if (!field || !answer || !View) return null;
  const props = displayProps({ row, state, perform }, field, settings, answer, peek);
  // A facet without any option is hidden too, and comes back in the same place.
  const left = answer.range ? answer.range.live.min !== null || props.choice !== undefined : props.options.length > 0;
  // If all values are equal there are no ranges to choose from; a finding tells the designer.
  const inRanges = state.asked.some(({ field: asked, ranges }) => asked === row.field && ranges !== undefined);
  if (inRanges && answer.ranges.length === 0 && props.choice === undefined) return null;
  if (!left && (settings.emptyOptions === "drop" || answer.reach === 0)) return null;

  const open = fold.start === start ? fold.open : start !== "folded";
  // Without a title it could not be opened again.
  const folds = settings.title && start !== "fixed";
  const { id, label } = props;
  return (
    <section
      class="zt-facet"
      data-row={row.id}
      data-field={row.field}
      data-share={settings.share}
      data-marked={state.marked === row.id || undefined}
      data-folded={(folds && !open) || undefined}
    >
      <FacetTitle {...props} open={folds ? open : undefined} fold={(next) => setFold({ start, open: next })} />
      <div id={id} class="zt-body" hidden={folds && !open} role="group" aria-label={label}>
        <View {...props} />
        {settings.clearLink ? (
          <button
            type="button"
            class="zt-clear"
            disabled={props.choice === undefined}
            aria-label={state.say("clearFacet", { facet: label })}
            onClick={() => props.choose(undefined)}
          >
            {state.say("clear")}
          </button>
        ) : null}
      </div>
    </section>
  );
}

/** The props of the facet's display. */
function displayProps(
  { row, state, perform }: Props,
  field: Field,
  settings: FacetSettings,
  answer: FacetAnswer,
  peek: Peek | undefined,
): DisplayProps {
  const format = formatterOf(field, state.currency, settings, state.language);
  return {
    row,
    field,
    name: nameIn(state.names, row.field),
    settings,
    label: rowLabel(row, state.language) || fieldTitle(field, state.say),
    id: `${state.id}-${row.id}`,
    options: answer.range
      ? []
      : optionViews(state, row, { display: resolve(row.display, state.band), settings }, answer),
    choice: choiceOf(state.selection, row.field),
    range: answer.range,
    ranges: answer.range ? rangeViews(state, row, settings, answer, format) : [],
    toggle: (option) => perform({ do: "toggle", facet: row, option }),
    choose: (choice) => perform({ do: "choose", field: row.field, choice }),
    peek: (choice) => peek?.(state.slug, { do: "choose", field: row.field, choice }),
    format,
    say: state.say,
    language: state.language,
  };
}
