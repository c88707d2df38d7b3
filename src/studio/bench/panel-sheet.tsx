import { useEffect } from "react";
import { createPortal, flushSync } from "react-dom";
import { createStore, useStore } from "zustand";
import { displays } from "../../core/displays/displays.ts";
import type { Finding } from "../../core/findings/finding.ts";
import type { Measure } from "../../core/findings/measure.ts";
import { layoutAt } from "../../core/page/shown-page.ts";
import { isFacet } from "../../core/panel/panel.ts";
import { rowTitle } from "../../core/panel/row-title.ts";
import { type Band, bandRange, bands, resolve } from "../../core/settings/band.ts";
import { placementPictures } from "../../core/settings/placement.ts";
import { pageName } from "../shell/page-names.ts";
import { percent } from "../shell/percent.ts";
import { useAllPages, useOpenShop, usePages, useShopSettings } from "../shell/shop-context.ts";
import { useBench, usePanel, useSession } from "./bench-context.ts";
import type { Line } from "./facet-table.tsx";
import { LivePicture } from "./live-picture.tsx";

/** Whether the sheet is in the page: it is drawn only to be printed. */
const printing = createStore<boolean>(() => false);
/** Time for the pictures of facets to be drawn, in ms. */
const drawn = 900;

/** Prints the panel as a page, or lets the browser save it as a PDF. */
export function printPanel(): void {
  printing.setState(true, true);
  setTimeout(() => window.print(), drawn);
}

interface Props {
  findings: readonly Finding[];
  lines: readonly Line[];
  outOf: number;
  measures: Partial<Record<Band, Measure>>;
}

/** A panel on one page of paper: where it is, its rows on each band, its numbers and its findings. */
export function PanelSheet(props: Props) {
  const isPrinting = useStore(printing);
  useEffect(() => {
    const start = () => flushSync(() => printing.setState(true, true));
    const end = () => printing.setState(false, true);
    window.addEventListener("beforeprint", start);
    window.addEventListener("afterprint", end);
    return () => {
      window.removeEventListener("beforeprint", start);
      window.removeEventListener("afterprint", end);
    };
  }, []);
  return isPrinting ? createPortal(<Sheet {...props} />, document.body) : null;
}

function Sheet({ findings, lines, outOf, measures }: Props) {
  const { shop, fieldOf } = useOpenShop();
  const { slug } = useBench();
  const panel = usePanel((state) => state.document);
  const address = useSession((state) => state.address);
  const limits = useShopSettings((settings) => settings.limits);
  const pages = usePages((document) => document);
  const list = useAllPages();
  const first = shop.panels[0]?.slug;
  const here = list.find((page) => page.address === address);
  const on = list.filter((page) => layoutAt(page, pages, first).panels.some((one) => one.panel === slug));
  return (
    <section aria-label="Printed panel" className="print-sheet hidden text-[12px] print:block">
      <p className="text-quiet">
        {shop.name} · draft of {new Date().toLocaleDateString("en-GB", { dateStyle: "medium" })}
      </p>
      <h2 className="mb-3 text-2xl">{panel.name}</h2>
      <p className="mb-1">
        On {on.length.toLocaleString("en")} of {list.length.toLocaleString("en")} pages. Numbers are those of{" "}
        {here ? pageName(here) : address} with {outOf.toLocaleString("en")} products.
      </p>
      <table className="mb-4 w-full">
        <thead>
          <tr className="border-b border-hair text-start">
            <th className="py-1 text-start">Row</th>
            {bands.map((band) => (
              <th key={band} className="text-start">
                <span className="capitalize">{band}</span>{" "}
                <span className="font-normal text-quiet">{bandRange(band, limits)}</span>
              </th>
            ))}
            <th className="text-end">Reach</th>
            <th className="text-end">Options</th>
          </tr>
        </thead>
        <tbody>
          <tr className="border-b border-hair">
            <th className="py-1 text-start font-medium">Position</th>
            {bands.map((band) => (
              <td key={band}>{placementPictures[resolve(panel.placement, band)].label}</td>
            ))}
            <td colSpan={2} />
          </tr>
          {panel.rows.map((row) => {
            const line = lines.find(({ id }) => id === row.id);
            return (
              <tr key={row.id} className="border-b border-hair align-top">
                <th className="py-1 pe-3 text-start font-medium">
                  {rowTitle(row, fieldOf)}
                  {isFacet(row) ? (
                    <LivePicture
                      row={row}
                      display={resolve(row.display, "wide")}
                      band="wide"
                      width={260}
                      scale={0.6}
                      height={58}
                    />
                  ) : null}
                </th>
                {bands.map((band) => (
                  <td key={band}>{isFacet(row) ? displays[resolve(row.display, band)].label : ""}</td>
                ))}
                <td className="text-end tabular-nums">{line ? percent(line.reach, outOf) : ""}</td>
                <td className="text-end tabular-nums">{line && line.options > 0 ? line.options : ""}</td>
              </tr>
            );
          })}
        </tbody>
      </table>
      <p className="mb-3">
        {bands
          .flatMap((band) => {
            const measure = measures[band];
            return measure ? [`${band}: panel ${measure.panel} px, first screen ${measure.screen} px`] : [];
          })
          .join("; ")}
      </p>
      <h3 className="mb-1 text-base">Findings</h3>
      {findings.length === 0 ? (
        <p>No problems found.</p>
      ) : (
        <ul className="list-disc ps-5">
          {findings.map(({ words, level }) => (
            <li key={words}>
              {words} <span className="text-quiet">({level})</span>
            </li>
          ))}
        </ul>
      )}
    </section>
  );
}
