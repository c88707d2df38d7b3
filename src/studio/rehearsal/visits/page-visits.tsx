import useSWR from "swr";
import type { PageVisits, Share } from "../../../core/api/visit-report.ts";
import { wilsonInterval } from "../../../core/catalogue/numbers/wilson.ts";
import { lastLevelOf } from "../../../core/catalogue/path.ts";
import { countsOf } from "../../../core/engine/engine.ts";
import type { Suggestions } from "../../../core/page/suggestions.ts";
import { engineFacets, facetRows } from "../../../core/panel/panel.ts";
import type { PanelDocument } from "../../../core/panel/panel-schema.ts";
import { rowTitle } from "../../../core/panel/row-title.ts";
import { request, shopPath } from "../../api.ts";
import { useAnswer, useOpenShop } from "../../shell/shop-context.ts";
import { inPercent } from "../in-words.ts";
import { ShareBar } from "./share-bar.tsx";

interface Props {
  visits: PageVisits;
  /** The panels that visitors saw on the page, in order. */
  panels: readonly { slug: string; document: PanelDocument }[];
  /** The share of shoppers who are assumed to know a field, in trial runs. */
  assumed(field: string): number;
}

const most = 4;

/** How the facets of a page were used, in the order in which they are placed, and words sought in vain. */
export function PageVisitsView({ visits, panels, assumed }: Props) {
  const { fieldOf } = useOpenShop();
  const placed = panels.flatMap(({ document }) =>
    facetRows(document).map((row, at, { length }) => ({
      field: row.field,
      title: rowTitle(row, fieldOf),
      place: `${at + 1} of ${length}`,
      panel: document.name,
    })),
  );
  // The whole catalogue's options, so that one that the page lacks by now has its name too.
  const answer = useAnswer(countsOf(engineFacets({ rows: panels.flatMap(({ document }) => document.rows) }, "wide")));
  const named = (field: string, id: string) =>
    lastLevelOf(answer?.facets[field]?.options.find((one) => one.id === id)?.label ?? id);
  const sortName = (sort: string) =>
    sort
      .split(",")
      .map((key) => {
        const isDown = key.startsWith("-");
        const field = fieldOf(isDown ? key.slice(1) : key);
        return `${field?.name ?? key}${isDown ? ", descending" : ""}`;
      })
      .join(", then ");
  const known = new Set(placed.map(({ field }) => field));
  const gone = visits.fields
    .filter(({ field }) => !known.has(field))
    .map(({ field }) => ({ field, title: fieldOf(field)?.name ?? field, place: "not known", panel: "" }));
  // A column for facets that were folded, where there are any.
  const folds = visits.fields.some(({ left }) => left && left.of > 0);
  const never = { of: visits.visits, hits: 0, low: 0, high: wilsonInterval(0, visits.visits)[1] };
  return (
    <>
      <table className="table table-sm w-auto">
        <thead>
          <tr>
            <th scope="col">Facet</th>
            <th scope="col">Placed</th>
            <th scope="col">Used in visits</th>
            <th scope="col">Removed again</th>
            {folds ? <th scope="col">Opened, nothing chosen</th> : null}
            <th scope="col">Options used most, with visits</th>
            <th scope="col" className="text-end">
              Assumed in trial runs
            </th>
          </tr>
        </thead>
        <tbody className="tabular-nums">
          {[...placed, ...gone].map(({ field, title, place, panel }, at) => {
            const use = visits.fields.find((one) => one.field === field);
            return (
              <tr key={`${at} ${field}`}>
                <th scope="row" className="font-medium">
                  {title}
                </th>
                <td className="text-quiet" title={panel}>
                  {place}
                </td>
                <td>
                  <ShareBar share={use?.used ?? never} />
                </td>
                <td>{use && use.removed.hits > 0 ? hitsOf(use.removed) : "–"}</td>
                {folds ? <td>{use?.left && use.left.of > 0 ? hitsOf(use.left) : "–"}</td> : null}
                <td className="max-w-80">
                  {use?.options
                    .slice(0, most)
                    .map(({ option, visits: times }) => `${named(field, option)} ${times.toLocaleString("en")}`)
                    .join(", ") || "–"}
                </td>
                <td className="text-end">{fieldOf(field) ? inPercent(assumed(field)) : "–"}</td>
              </tr>
            );
          })}
        </tbody>
      </table>
      {visits.sorts && visits.sorts.length > 0 ? (
        <p>
          Sorted by{" "}
          {visits.sorts
            .slice(0, most)
            .map(({ sort, visits: times }) => `${sortName(sort)} in ${times.toLocaleString("en")} visits`)
            .join(", ")}
          .
        </p>
      ) : null}
      {visits.soughtInVain.length > 0 ? <SoughtInVain words={visits.soughtInVain.slice(0, 10)} /> : null}
    </>
  );
}

/** Words that found nothing, with the nearest words of the catalogue. */
function SoughtInVain({ words }: { words: PageVisits["soughtInVain"] }) {
  const { shop } = useOpenShop();
  const { data } = useSWR(["near", shop.slug, ...words.map((one) => one.words)], () =>
    Promise.all(
      words.map(async (one) => {
        const path = `${shopPath(shop.slug)}/suggest?q=${encodeURIComponent(one.words.slice(0, 200))}`;
        const { near, products } = await request<Suggestions>(path);
        return products.length > 0 ? "found by now" : near.slice(0, 3).join(", ");
      }),
    ),
  );
  return (
    <section aria-label="Searched in vain" className="flex flex-col gap-2">
      <h3 className="text-[15px] font-medium">Searched in vain</h3>
      <table className="table table-sm w-auto">
        <thead>
          <tr>
            <th scope="col">Words</th>
            <th scope="col" className="text-end">
              Visits
            </th>
            <th scope="col">Nearest words of the catalogue</th>
          </tr>
        </thead>
        <tbody className="tabular-nums">
          {words.map(({ words: text, visits }, at) => (
            <tr key={text}>
              <th scope="row" className="font-medium">
                {text}
              </th>
              <td className="text-end">{visits.toLocaleString("en")}</td>
              <td className="text-quiet">{data === undefined ? "…" : data[at] || "none"}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  );
}

const hitsOf = ({ hits, of }: Share): string => `${hits.toLocaleString("en")} of ${of.toLocaleString("en")}`;
