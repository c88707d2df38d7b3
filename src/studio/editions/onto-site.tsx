import { Download, ExternalLink } from "lucide-react";
import { useState } from "react";
import { useStore } from "zustand";
import type { EditionSummary } from "../../core/api/edition.ts";
import type { HandoffPreview } from "../../core/api/handoff.ts";
import { isFacetable } from "../../core/catalogue/field.ts";
import { setSite } from "../../core/shop/edit.ts";
import type { Site } from "../../core/shop/shop-schema.ts";
import { siteOf } from "../../core/shop/site.ts";
import { shopPath } from "../api.ts";
import { Choice } from "../controls/choice.tsx";
import { TextControl } from "../controls/text-control.tsx";
import { Fault } from "../shell/alert.tsx";
import { useOpenShop, useShopSettings } from "../shell/shop-context.ts";
import { Snippet } from "../shell/snippet.tsx";
import { MeasureHeights } from "./measure-heights.tsx";
import { panelNames } from "./panel-names.ts";
import { SiteChecks } from "./site-checks.tsx";
import { type EditionState, stateName, useHandoff, useMeasuredHeights } from "./use-editions.ts";

const kB = (bytes: number): string => `${(bytes / 1000).toFixed(1)} kB`;

/** The handoff view: the site's settings, the files, and the code for the site's pages. */
export function OntoSite({ editions }: { editions: readonly EditionSummary[] }) {
  const { shop, settings } = useOpenShop();
  const newest = editions[0]?.n;
  // Without a choice it is the newest, also after another was published.
  const [chosen, choose] = useState<EditionState | undefined>(undefined);
  const of = chosen ?? newest ?? "draft";
  const [wanted, setTrial] = useState<number>();
  const tried = of === "draft" ? [] : editions.map(({ n }) => n).filter((n) => n !== of);
  const trial = wanted !== undefined && tried.includes(wanted) ? wanted : undefined;
  const site = useShopSettings(siteOf);
  const saved = useStore(settings, ({ saving }) => saving === "saved");
  const made = useHandoff(shop.slug, of, saved ? site : undefined);
  const { data, error, isLoading } = made;
  const heights = useMeasuredHeights(shop.slug, of, made);
  return (
    <section aria-label="Handoff" className="flex min-h-0 flex-1 flex-col gap-5 overflow-y-auto px-6 py-5">
      <div className="flex flex-wrap items-end justify-between gap-3">
        <div>
          <h2 className="text-xl">Handoff</h2>
          <p className="text-[13px] text-quiet">
            Plain files that run on any site, without a build step and without this tool.
          </p>
        </div>
        <div className="flex items-center gap-3">
          <select
            className="select select-sm w-auto"
            aria-label="Edition to download"
            value={of}
            onChange={({ target: { value } }) =>
              choose(value === "draft" ? "draft" : Number(value) === newest ? undefined : Number(value))
            }
          >
            {([...editions.map(({ n }) => n), "draft"] as const).map((state) => (
              <option key={state} value={state}>
                {stateName(state)}
                {state === newest ? ", the newest" : ""}
              </option>
            ))}
          </select>
          {tried.length > 0 ? (
            <select
              className="select select-sm w-auto"
              aria-label="Trial edition"
              title="A second edition for half of the tabs, to compare them under Rehearsal, Visits"
              value={trial ?? ""}
              onChange={({ target: { value } }) => setTrial(value === "" ? undefined : Number(value))}
            >
              <option value="">No trial</option>
              {tried.map((n) => (
                <option key={n} value={n}>
                  Trial: half see {stateName(n).toLowerCase()}
                </option>
              ))}
            </select>
          ) : null}
          {data?.seen ? (
            <a href={data.seen} target="_blank" rel="noreferrer" className="btn btn-sm">
              <ExternalLink size={15} aria-hidden /> See it on a sample site
            </a>
          ) : null}
          <a
            className={`btn btn-primary btn-sm ${data ? "" : "btn-disabled"}`}
            aria-disabled={!data}
            href={
              data
                ? `/api${shopPath(shop.slug)}/handoff.zip?of=${of}${trial === undefined ? "" : `&trial=${trial}`}`
                : undefined
            }
            download
          >
            <Download size={15} aria-hidden /> Download {of === "draft" ? "the draft" : `edition ${of}`}
          </a>
        </div>
      </div>
      <SiteSettings site={site} />
      <p role="status" className="text-[13px] text-quiet">
        {error ? null : data ? <Sizes report={data.report} /> : isLoading || !saved ? "Preparing the files…" : null}{" "}
        {data ? heightWords[heights.state] : null}
      </p>
      {heights.wanted ? <MeasureHeights key={heights.wanted.edition} shop={shop.slug} {...heights.wanted} /> : null}
      <Fault text={error?.message} />
      {data ? <Ways slug={shop.slug} of={of} preview={data} site={site} /> : null}
      <SiteChecks />
    </section>
  );
}

/** Words for how the heights are known that pages reserve for panels pasted as a line. */
const heightWords = {
  measured: "Panel heights are measured, so pages keep still while a panel loads.",
  measuring: "Measuring panel heights, so that pages keep still while a panel loads…",
  estimated: "Panel heights are estimated: pages may jump a little while a panel loads.",
} as const;

function Sizes({ report: { panels, pages, displays, sizes } }: Pick<HandoffPreview, "report">) {
  return (
    <>
      {panels} {panels === 1 ? "panel" : "panels"} on {pages} {pages === 1 ? "page" : "pages"}. Gzipped: script{" "}
      {kB(sizes.script)} for {displays.length} {displays.length === 1 ? "display" : "displays"}, engine{" "}
      {kB(sizes.engine)}, style sheet {kB(sizes.style)}, catalogue {kB(sizes.catalogue)}, what cards show{" "}
      {kB(sizes.cards)}.
    </>
  );
}

/** The settings of the site. */
function SiteSettings({ site }: { site: Site }) {
  const { settings, profiles } = useOpenShop();
  const set = (changes: Partial<Site>) => settings.getState().apply(setSite(changes));
  const row = (name: string, key: "at" | "link" | "action", hint: string) => (
    <div className="grid grid-cols-[130px_minmax(0,260px)_1fr] items-center gap-3">
      <span className="text-[13px] text-quiet">{name}</span>
      <TextControl name={name} value={site[key]} longest={500} set={(text) => set({ [key]: text.trim() })} />
      <span className="text-[13px] text-quiet">{hint}</span>
    </div>
  );
  const asked = [
    { key: "q", name: "Search words" },
    { key: "sort", name: "Order" },
    { key: "page", name: "Results page" },
    ...profiles.map(({ field }) => field).filter(isFacetable),
  ];
  const renamed = Object.keys(site.names).length;
  return (
    <div className="flex flex-col gap-2">
      {row("Files are at", "at", "A path on the site, or a full address. It ends with a slash.")}
      {row("Products are at", "link", "{id} is the product, {variant} the number of its matching variant.")}
      {row(
        "Choices go to",
        "action",
        "A page of the site that receives the query. Leave empty if each page filters its own products.",
      )}
      <details>
        <summary className="w-fit cursor-pointer text-[13px] text-quiet">
          Names in queries{renamed > 0 ? ` (${renamed} changed)` : ""}
        </summary>
        <div className="mt-2 grid grid-cols-[repeat(auto-fill,minmax(250px,1fr))] gap-x-6 gap-y-1">
          {asked.map(({ key, name }) => (
            <div key={key} className="grid grid-cols-[110px_1fr] items-center gap-2">
              <span className="truncate text-[13px]" title={name}>
                {name}
              </span>
              <TextControl
                name={`${name} in queries`}
                value={site.names[key] ?? key}
                longest={100}
                set={(text) => set({ names: named(site.names, key, text.trim()) })}
              />
            </div>
          ))}
        </div>
      </details>
    </div>
  );
}

/** Names with one changed; names equal to their key are left out. */
function named(names: Site["names"], key: string, name: string): Site["names"] {
  const { [key]: _before, ...rest } = names;
  return name === "" || name === key ? rest : { ...rest, [key]: name };
}

const ways = [
  { value: "line", label: "A line that stays" },
  { value: "markup", label: "Markup in the page" },
] as const;
type Way = (typeof ways)[number]["value"];

interface WaysProps {
  slug: string;
  of: EditionState;
  preview: HandoffPreview;
  site: Site;
}

/** The code for a site's pages, to copy. */
function Ways({ slug, of, preview, site }: WaysProps) {
  const { tags, pages, product } = preview;
  const panels = [...new Set(pages.flatMap(({ pieces }) => panelNames(pieces)))];
  const [way, setWay] = useState<Way>("line");
  const [chosen, choose] = useState<{ panel?: string; page?: string }>({});
  const panel = panels.find((name) => name === chosen.panel) ?? panels[0] ?? "";
  const having = pages.filter(({ pieces }) => pieces.includes(panel));
  const page = having.find(({ address }) => address === chosen.page) ?? having[0];
  const hasForm = page?.pieces.includes(`${panel}.form`) ?? false;
  const piece = (name: string): string => {
    if (way === "markup") return `<!--#include virtual="${site.at}pages${folder(page?.address)}/${name}.html" -->`;
    const where = page && page !== having[0] ? ` page="${page.address}"` : "";
    return name === "listing"
      ? "<trellis-listing></trellis-listing>"
      : `<trellis-panel name="${name}"${where}></trellis-panel>`;
  };
  const own = `<p data-trellis-count=""></p>
<ul data-trellis-list="">
  <li data-trellis-product="${product}">…</li>
</ul>
<button type="button" data-trellis-more="" hidden></button>`;
  return (
    <div className="flex flex-col gap-4">
      <h3 className="text-base">Put a panel on a page</h3>
      <div className="flex flex-wrap items-center gap-x-6 gap-y-3">
        <div className="w-72">
          <Choice<Way> label="How the panel gets into the page" value={way} options={ways} set={setWay} />
        </div>
        <Select label="Panel" value={panel} values={panels} set={(name) => choose({ panel: name })} />
        <Select
          label="Page"
          value={page?.address ?? ""}
          values={having.map(({ address }) => address)}
          set={(address) => choose({ panel, page: address })}
        />
      </div>
      <p className="max-w-prose text-[13px] text-quiet">
        {way === "line"
          ? "Paste it once. It fetches the current panel, so a new handoff shows without a change to your pages. The panel finds its page by the address; name the page where the addresses differ."
          : "For servers that can include files: the panel is there with the page, works without scripts, and moves nothing. Include the files of each new handoff again."}
      </p>
      <Snippet title="In the head of each page" text={tags[way]} />
      <div className="grid grid-cols-[repeat(auto-fit,minmax(270px,1fr))] items-start gap-5">
        <Snippet
          title="With our listing"
          text={[piece(panel), ...(page?.pieces.includes("listing") ? [piece("listing")] : [])].join("\n")}
        >
          {way === "line"
            ? "Put a template with your own product card inside the listing."
            : "Product cards use the template in this code. Change it to match your site."}
        </Snippet>
        <Snippet title="With the site’s own listing" text={`${piece(panel)}\n${own}`}>
          Your product list stays; the panel hides and sorts its products by their ids.{" "}
          <a className="link" href={`/api${shopPath(slug)}/handoff/ids.csv?of=${of}`} download>
            Download the ids
          </a>
        </Snippet>
        <Snippet title="As a form" text={piece(hasForm ? `${panel}.form` : panel)}>
          {hasForm
            ? `Sends the choices to ${site.action}; the README lists the query parameters.`
            : "Fill in “Choices go to” above first."}
        </Snippet>
      </div>
      <p className="text-[13px] text-quiet">
        The command <code>trellis handoff</code> writes the same files, for instance in a cron job after each change of
        the catalogue. The README in the folder explains more.
      </p>
    </div>
  );
}

const folder = (address = "/"): string => (address === "/" ? "/index" : address);

interface SelectProps {
  label: string;
  value: string;
  values: readonly string[];
  set(value: string): void;
}

const Select = ({ label, value, values, set }: SelectProps) => (
  <label className="flex items-center gap-2 text-[13px] text-quiet">
    {label}
    <select
      className="select select-sm w-44 text-base-content"
      value={value}
      onChange={(event) => set(event.target.value)}
    >
      {values.map((one) => (
        <option key={one} value={one}>
          {one}
        </option>
      ))}
    </select>
  </label>
);
