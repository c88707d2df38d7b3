import type { ComponentChildren } from "preact";
import { listForms, ratios } from "../../core/page/listing-choices.ts";
import { type Band, bands, resolve } from "../../core/settings/band.ts";
import type { Perform } from "../panel/panel-state.ts";
import { Cards } from "./cards.tsx";
import type { ListingState } from "./listing-state.ts";
import { More } from "./more.tsx";
import { NothingFound } from "./nothing-found.tsx";
import { Pages } from "./pages.tsx";

interface Props<S extends ListingState> {
  /** One for each band before the width is known; afterwards only the present band's. */
  states: readonly S[];
  perform: Perform;
  /** The designer's text for no matches. */
  children?: ComponentChildren;
}

/** The found products in the page's layout on each band, or what to do if there are none. */
export function Listing<S extends ListingState>({ states, perform, children }: Props<S>) {
  const [state] = states;
  if (!state) return null;
  const { layout, answer } = state;
  if (answer.total === 0)
    return (
      <NothingFound state={state} perform={perform}>
        {children}
      </NothingFound>
    );
  return (
    <div class="zs-products" style={styleOf(layout)}>
      {listForms.map((form) => {
        const on = bands.filter((band) => resolve(layout.form, band) === form);
        const own = states.find(({ band }) => on.includes(band));
        return own ? (
          <div key={form} data-bands={on.join(" ")}>
            <Cards state={own} form={form} />
          </div>
        ) : null;
      })}
      {layout.more === "pages" ? (
        <Pages state={state} perform={perform} />
      ) : (
        <More state={state} perform={perform} scroll={layout.more === "scroll"} />
      )}
    </div>
  );
}

/** A layout's numbers as custom properties. */
function styleOf({ columns, ratio, picture }: ListingState["layout"]): Record<string, string> {
  const template = (band: Band) => {
    const n = resolve(columns, band);
    return n === 0 ? "repeat(auto-fill, minmax(var(--zs-card), 1fr))" : `repeat(${n}, minmax(0, 1fr))`;
  };
  return {
    "--zs-ratio": String(ratios[ratio]),
    "--zs-thumb": `${picture}px`,
    ...Object.fromEntries(bands.map((band) => [`--zs-columns-${band}`, template(band)])),
  };
}
