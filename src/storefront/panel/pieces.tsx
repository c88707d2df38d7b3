import { type ComponentType, h } from "preact";
import { useEffect, useRef } from "preact/hooks";
import { lastLevelOf } from "../../core/catalogue/path.ts";
import { isEmpty } from "../../core/engine/selection.ts";
import { nameIn } from "../../core/page/browse-state/address.ts";
import { type Act, nextPlace, startPlace } from "../../core/page/browse-state/browse-state.ts";
import { hasLink } from "../../core/panel/links.ts";
import { rowLabel } from "../../core/panel/panel.ts";
import type { LinksPiece, PieceName, PieceRow } from "../../core/panel/pieces.ts";
import { isSafeAddress, isSafePicture } from "../../core/sanitize/safe-address.ts";
import { fieldTitle } from "../words/field-title.ts";
import { ChipList } from "./chip-list.tsx";
import { chipsOf } from "./chips.ts";
import { Count } from "./count.tsx";
import { type PanelState, type Perform, queryTo, type Shared } from "./panel-state.ts";
import { placeInShop, RichText } from "./rich-text.tsx";

interface Props<R extends PieceRow = PieceRow> {
  row: R;
  state: PanelState;
  perform: Perform;
  /** Its label in the shopper's language. */
  label: string;
}

/** Any row of a panel that is not a facet. */
export function PieceView({ row, state, perform }: Omit<Props, "label">) {
  const View = views[row.piece] as ComponentType<Props>;
  return (
    <div class="zt-piece" data-piece={row.piece} data-row={row.id} data-marked={state.marked === row.id || undefined}>
      <View row={row} state={state} perform={perform} label={rowLabel(row, state.language)} />
    </div>
  );
}

const views: { [P in PieceName]: ComponentType<Props<Extract<PieceRow, { piece: P }>>> } = {
  chosen: Chosen,
  search: Search,
  clear: Clear,
  count: ({ state }) => <Count state={state} />,
  divider: () => <hr class="zt-divider" />,
  heading: ({ row, label }) => h(`h${row.level}`, { class: "zt-heading" }, label),
  text: ({ row, state }) => <RichText html={row.html} base={state.base} />,
  picture: Picture,
  links: Links,
};

/** Chosen filters on one line that scrolls sideways, so that nothing below ever moves. */
export function Chosen({ state, perform, label }: Pick<Props, "perform" | "label"> & { state: Shared }) {
  const chips = chipsOf(state);
  const { say } = state;
  return (
    <div class="zt-chosen" role="group" aria-label={label || say("chosen")}>
      <ChipList chips={chips} say={say} perform={perform}>
        {chips.length === 0 ? <li class="zt-hint">{say("nothingChosen")}</li> : null}
      </ChipList>
      <ClearButton state={state} perform={perform} text={say("clearAll")} />
    </div>
  );
}

function Clear({ state, perform, label }: Props) {
  return <ClearButton state={state} perform={perform} text={label || state.say("clearAll")} />;
}

/** Keeps its space when there is nothing to clear, so that nothing below moves. */
const ClearButton = ({ state, perform, text }: Pick<Props, "perform"> & { state: Shared; text: string }) => (
  <button type="button" class="zt-clear" disabled={isEmpty(state.selection)} onClick={() => perform({ do: "clear" })}>
    {text}
  </button>
);

const pause = 150;

function Search({ state, perform, label }: Props) {
  const name = label || state.say("search");
  const input = useRef<HTMLInputElement>(null);
  const timer = useRef<ReturnType<typeof setTimeout> | undefined>(undefined);
  const { text } = state.selection;
  useEffect(() => {
    // Only changes from elsewhere (a chip, the address bar) overwrite the field.
    if (input.current && input.current.value.trim() !== text.trim()) input.current.value = text;
  }, [text]);
  useEffect(() => () => clearTimeout(timer.current), []);
  return (
    <input
      ref={input}
      class="zt-search"
      type="search"
      name={nameIn(state.names, "q")}
      aria-label={name}
      placeholder={name}
      defaultValue={text}
      onInput={(event) => {
        const asked = event.currentTarget.value;
        clearTimeout(timer.current);
        timer.current = setTimeout(() => perform({ do: "search", text: asked }), pause);
      }}
    />
  );
}

function Picture({ row: { src, href }, state, label }: Props<Extract<PieceRow, { piece: "picture" }>>) {
  if (!isSafePicture(src)) return <p class="zt-hint zt-unfilled">{state.say("noPicture")}</p>;
  const image = <img class="zt-image" src={src} alt={label} />;
  return isSafeAddress(href) ? <a href={placeInShop(state.base, href)}>{image}</a> : image;
}

/** Links that each select one value and nothing else. */
function Links({ row, state, perform, label }: Props<LinksPiece>) {
  const answer = state.answer.facets[row.field];
  const field = state.fields.get(row.field);
  if (!answer || !field) return null;
  const name = label || fieldTitle(field, state.say);
  return (
    <nav aria-label={name}>
      {label ? <h3 class="zt-heading">{label}</h3> : null}
      <ul class="zt-links">
        {answer.options.map((option, o) => {
          const { id } = option;
          // Without products there is nothing to link to.
          if (!hasLink(row, id) || !answer.counts.steady[o]) return null;
          const only: Act = { do: "only", field: row.field, choice: { options: [id] } };
          const query = queryTo(state, nextPlace(startPlace, only));
          return (
            <li key={id}>
              <a
                href={state.leadsTo === undefined ? query : state.base + state.leadsTo + query}
                onClick={(event) => {
                  const leaves = event.ctrlKey || event.metaKey || event.shiftKey || state.leadsTo !== undefined;
                  if (leaves) return;
                  event.preventDefault();
                  perform(only);
                }}
              >
                {lastLevelOf(option.label)}
              </a>
              {row.counts ? <span class="zt-count"> {answer.counts.steady[o]}</span> : null}
            </li>
          );
        })}
      </ul>
    </nav>
  );
}
