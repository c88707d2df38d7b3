import { useEffect, useMemo, useRef } from "react";
import useSWRImmutable from "swr/immutable";
import type { DisplayName } from "../../core/displays/displays.ts";
import type { Answer } from "../../core/engine/answer.ts";
import { countsOf } from "../../core/engine/engine.ts";
import { emptySelection } from "../../core/engine/selection.ts";
import { emptyPanel, engineFacets, facetRows } from "../../core/panel/panel.ts";
import type { FacetRow, PanelDocument, Row } from "../../core/panel/panel-schema.ts";
import type { Band } from "../../core/settings/band.ts";
import { behaviours } from "../../core/settings/behaviour.ts";
import { putAllViews } from "../../storefront/panel/displays/all.ts";
import type { PanelState } from "../../storefront/panel/panel-state.ts";
import { drawRow, eraseRow, pictureRow } from "../../storefront/panel/picture.tsx";
import { sayOf } from "../../storefront/words/spoken.ts";
import { type OpenShop, useAnswer, useOpenShop } from "../shell/shop-context.ts";
import { useBench, useSession } from "./bench-context.ts";

putAllViews();
const around = emptyPanel("Picture");
/** A facet's picture shows only its body. */
const bare =
  "@layer custom { .zt-facet { padding: 0; border: 0 } .zt-title { display: none } .zt-body { padding: 0 } .zt-unfilled { display: block } }";

/** The storefront's style sheet for one band, adopted by pictures. */
async function fetchSheet(address: string): Promise<CSSStyleSheet> {
  const response = await fetch(address);
  if (!response.ok) throw new Error(`The style sheet could not be fetched (${response.status}).`);
  return new CSSStyleSheet().replace((await response.text()) + bare);
}

interface Size {
  /** Width in CSS px at which the row is laid out, and its scale. */
  width: number;
  scale: number;
  height: number;
}

interface Props extends Size {
  row: FacetRow;
  display: DisplayName;
  band: Band;
}

/** A small picture of a facet as for shoppers, rendered by the storefront itself from the shop's own values. */
export function LivePicture({ row, display, band, ...size }: Props) {
  const shown = useMemo(() => pictureRow(row, display), [row, display]);
  return <RowPicture row={shown} band={band} {...size} />;
}

/** A small picture of any row of a panel, as for shoppers. */
export function RowPicture({ row, band, width, scale, height }: Size & { row: Row; band: Band }) {
  const shop = useOpenShop();
  const { slug } = useBench();
  const look = useSession((session) => session.pictureLooks[band]);
  const host = useRef<HTMLSpanElement>(null);
  // A panel with this row only, so that changes of other rows cause no rerendering.
  const alone = useMemo(() => ({ ...around, rows: [row] }), [row]);
  const answer = useAnswer(countsOf(engineFacets(alone, band)));
  const { data: sheet } = useSWRImmutable(`/storefront/style.css?band=${band}`, fetchSheet);
  const state = useMemo(() => answer && stateFor(shop, alone, band, answer), [shop, alone, band, answer]);
  useEffect(() => {
    if (!host.current || !state || !sheet) return;
    const root = host.current.shadowRoot ?? host.current.attachShadow({ mode: "open" });
    root.adoptedStyleSheets = [sheet, look];
    let box = root.querySelector<HTMLElement>(".zt-panel");
    if (!box) {
      box = document.createElement("div");
      box.className = "zt-panel";
      box.dataset.of = slug;
      root.append(box);
    }
    drawRow(box, state, row);
  }, [state, row, sheet, look, slug]);
  useEffect(() => {
    const element = host.current;
    return () => {
      if (element?.shadowRoot?.firstElementChild) eraseRow(element.shadowRoot.firstElementChild);
    };
  }, []);
  return (
    <span className="relative block overflow-hidden" style={{ width: width * scale, height }} aria-hidden="true">
      <span
        ref={host}
        inert
        className="absolute start-0 top-0 block origin-top-left"
        style={{ width, transform: `scale(${scale})` }}
      />
    </span>
  );
}

const stateFor = (
  { shop, profiles, swatches }: OpenShop,
  panel: PanelDocument,
  band: Band,
  answer: Answer,
): PanelState => ({
  id: "zt-picture",
  slug: "picture",
  behaviour: behaviours.allOn({}, band),
  waits: false,
  leaves: false,
  counted: true,
  panel,
  band,
  fields: new Map(profiles.map(({ field }) => [field.key, field])),
  swatches,
  currency: shop.currency,
  selection: emptySelection,
  answer,
  language: "en",
  say: sayOf("en"),
  marked: undefined,
  query: "",
  base: "",
  rows: facetRows(panel),
  asked: engineFacets(panel, band),
  names: {},
});
