import { useEffect, useMemo, useRef } from "react";
import type { Answer } from "../../core/match/answer.ts";
import type { Band } from "../../core/panel/bands.ts";
import { type DisplayName, emptyPanel, type FacetRow, type PanelDocument } from "../../core/panel/document.ts";
import { startPlace } from "../../storefront/address.ts";
import css from "../../storefront/picture.css?inline";
import { drawFacet, eraseFacet, pictureRow } from "../../storefront/picture.tsx";
import { firstState, questionOf } from "../../storefront/store.ts";
import { type OpenShop, useAnswer, useOpenShop } from "../shell/shop-context.ts";

const around = emptyPanel("Picture");
let sheet: CSSStyleSheet | undefined;

interface Props {
  row: FacetRow;
  display: DisplayName;
  band: Band;
  /** Width in CSS px that the facet is laid out in, and the scale at which that is shown. */
  width: number;
  scale: number;
  height: number;
}

/** A facet as shoppers would see it, drawn small by the storefront itself from the shop's own values. */
export function LivePicture({ row, display, band, width, scale, height }: Props) {
  const shop = useOpenShop();
  const host = useRef<HTMLSpanElement>(null);
  const shown = useMemo(() => pictureRow(row, display), [row, display]);
  // A panel of this row alone, so that a change of any other row draws nothing anew.
  const alone = useMemo(() => ({ ...around, rows: [shown] }), [shown]);
  const answer = useAnswer({ ...questionOf(alone, band, startPlace), size: 0 });
  const state = useMemo(() => answer && stateFor(shop, alone, band, answer), [shop, alone, band, answer]);
  useEffect(() => {
    if (!host.current || !state) return;
    const root = host.current.shadowRoot ?? host.current.attachShadow({ mode: "open" });
    if (!sheet) {
      sheet = new CSSStyleSheet();
      sheet.replaceSync(css);
    }
    root.adoptedStyleSheets = [sheet];
    let box = root.firstElementChild;
    if (!box) {
      box = document.createElement("div");
      box.className = "zt-panel";
      root.append(box);
    }
    drawFacet(box, state, shown);
  }, [state, shown]);
  useEffect(() => {
    const element = host.current;
    return () => {
      if (element?.shadowRoot?.firstElementChild) eraseFacet(element.shadowRoot.firstElementChild);
    };
  }, []);
  return (
    <span className="relative block overflow-hidden" style={{ width: width * scale, height }} aria-hidden="true">
      <span ref={host} inert className="absolute start-0 top-0 block origin-top-left" style={{ width, transform: `scale(${scale})` }} />
    </span>
  );
}

const stateFor = ({ shop, profiles, swatches }: OpenShop, panel: PanelDocument, band: Band, answer: Answer) =>
  firstState({ shop, fields: profiles.map(({ field }) => field), panel, swatches, language: "en" }, band, { place: startPlace, answer });
