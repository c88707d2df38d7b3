import { type ComponentChildren, Fragment } from "preact";
import type { RangeCount } from "../../core/engine/answer.ts";
import { emptySelection } from "../../core/engine/selection.ts";
import { nextPlace } from "../../core/page/browse-state/browse-state.ts";
import { type Chip, chipsOf } from "../panel/chips.ts";
import { type Perform, queryTo } from "../panel/panel-state.ts";
import { RichText } from "../panel/rich-text.tsx";
import type { ListingState } from "./listing-state.ts";

/**
 * Shown if nothing matches: the designer's text, and each choice that can be removed, with the number of products
 * found without it.
 */
export function NothingFound({
  state,
  perform,
  children,
}: {
  state: ListingState;
  perform: Perform;
  children?: ComponentChildren;
}) {
  const { say, layout, answer, selection } = state;
  const near = selection.text.trim() === "" ? [] : (answer.near ?? []);
  const chips = chipsOf(state);
  const takeBacks = answer.takeBacks ?? [];
  const chosen = chips.length > 0;
  return (
    <div class="zs-nothing">
      <h3>{say(chosen ? "nothingFits" : "nothingHere")}</h3>
      {layout.nothing ? <RichText html={layout.nothing} base={state.base} /> : null}
      {children}
      {near.length > 0 ? (
        <p>
          {say("didYouMean")}{" "}
          {near.map((text, at) => (
            <Fragment key={text}>
              {at > 0 ? ", " : ""}
              <a
                href={queryTo(state, nextPlace(state, { do: "search", text }))}
                onClick={(event) => {
                  event.preventDefault();
                  perform({ do: "search", text });
                }}
              >
                {text}
              </a>
            </Fragment>
          ))}
        </p>
      ) : null}
      {takeBacks.length > 0 ? (
        <>
          <p>{say("takeBack")}</p>
          <ul class="zs-back">
            {takeBacks.map(({ parts, total }) => (
              <li key={JSON.stringify(parts)}>
                <button type="button" class="zt-chip" onClick={() => perform({ do: "without", parts: [...parts] })}>
                  {say("without", { what: parts.map((part) => nameOf(part, chips)).join(` ${say("and")} `) })}
                  <b>{say("found", { n: total })}</b>
                </button>
              </li>
            ))}
          </ul>
        </>
      ) : null}
      {chosen && selection !== emptySelection ? (
        <button type="button" class="zt-clear" onClick={() => perform({ do: "clear" })}>
          {say("clearAll")}
        </button>
      ) : null}
    </div>
  );
}

/** The name of a part of the selection: its chips. */
const nameOf = ({ field, option }: RangeCount, chips: readonly Chip[]): string =>
  chips
    .filter(({ key }) =>
      field === undefined ? key === "q" : option === undefined ? isOf(key, field) : key === `${field} ${option}`,
    )
    .map(({ text }) => text)
    .join(", ");

const isOf = (key: string, field: string): boolean => key === field || key.startsWith(`${field} `);
