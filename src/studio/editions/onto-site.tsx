import { Check, Copy, Download, ExternalLink } from "lucide-react";
import { type ReactNode, useState } from "react";
import { useStore } from "zustand";
import type { EditionSummary } from "../../core/api/edition.ts";
import { type HandoffPreview, scriptAim } from "../../core/api/handoff.ts";
import { isFacetable } from "../../core/catalogue/field.ts";
import { setSite } from "../../core/shop/edit.ts";
import type { Site } from "../../core/shop/shop-schema.ts";
import { siteOf } from "../../core/shop/site.ts";
import { shopPath } from "../api.ts";
import { TextControl } from "../controls/text-control.tsx";
import { Fault } from "../shell/alert.tsx";
import { useOpenShop, useShopSettings } from "../shell/shop-context.ts";
import { type EditionState, stateName, useHandoff } from "./use-editions.ts";

const kB = (bytes: number): string => `${(bytes / 1000).toFixed(1)} kB`;

/** The handoff view: the site's settings, the files, and the code for the site's pages. */
export function OntoSite({ editions }: { editions: readonly EditionSummary[] }) {
  const { shop, settings } = useOpenShop();
  const [of, choose] = useState<EditionState>(editions[0]?.n ?? "draft");
  const site = useShopSettings(siteOf);
  const saved = useStore(settings, ({ saving }) => saving === "saved");
  const { data, error, isLoading } = useHandoff(shop.slug, of, saved ? site : undefined);
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
            onChange={(event) => choose(event.target.value === "draft" ? "draft" : Number(event.target.value))}
          >
            {([...editions.map(({ n }) => n), "draft"] as EditionState[]).map((state) => (
              <option key={state} value={state}>
                {stateName(state)}
              </option>
            ))}
          </select>
          {data?.seen ? (
            <a href={data.seen} target="_blank" rel="noreferrer" className="btn btn-sm">
              <ExternalLink size={15} aria-hidden /> See it on a sample site
            </a>
          ) : null}
          <a
            className={`btn btn-primary btn-sm ${data ? "" : "btn-disabled"}`}
            aria-disabled={!data}
            href={data ? `/api${shopPath(shop.slug)}/handoff.zip?of=${of}` : undefined}
            download
          >
            <Download size={15} aria-hidden /> Download the files
          </a>
        </div>
      </div>
      <SiteSettings site={site} />
      <p role="status" className="text-[13px] text-quiet">
        {error ? null : data ? <Sizes report={data.report} /> : isLoading || !saved ? "Preparing the files…" : null}
      </p>
      <Fault text={error?.message} />
      {data ? <Ways preview={data} site={site} /> : null}
    </section>
  );
}

function Sizes({ report: { panels, pages, displays, sizes } }: Pick<HandoffPreview, "report">) {
  const much = sizes.script > scriptAim;
  return (
    <>
      {panels} {panels === 1 ? "panel" : "panels"} on {pages} {pages === 1 ? "page" : "pages"}. Gzipped: script{" "}
      <b className={much ? "text-error" : "text-success"}>{kB(sizes.script)}</b> for {displays.length} displays
      {much ? ` (aim ${kB(scriptAim)})` : ""}, engine {kB(sizes.engine)}, style sheet {kB(sizes.style)}, catalogue{" "}
      {kB(sizes.catalogue)}, what cards show {kB(sizes.cards)}.
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

/** The code for a site's pages, in three ways, to copy. */
function Ways({ preview: { head, pieces }, site }: { preview: HandoffPreview; site: Site }) {
  const panels = pieces.filter((path) => !path.endsWith("/listing.html") && !path.endsWith(".form.html"));
  const [piece, choose] = useState<string | undefined>(undefined);
  const panel = piece !== undefined && panels.includes(piece) ? piece : (panels[0] ?? "");
  const folder = panel.slice(0, panel.lastIndexOf("/"));
  const put = (path: string) => `<!--#include virtual="${site.at}${path}" -->`;
  const hasListing = pieces.includes(`${folder}/listing.html`);
  const form = panel.replace(/\.html$/, ".form.html");
  const own = `<p data-trellis-count=""></p>
<ul data-trellis-list="">
  <li data-trellis-product="PRODUCT-ID">…</li>
</ul>
<button type="button" data-trellis-more="" hidden></button>`;
  return (
    <div className="flex flex-col gap-4">
      <Snippet title="In the head of each page" text={head} />
      <label className="flex items-center gap-3 text-[13px] text-quiet">
        Panel and page
        <select
          className="select select-sm w-96 text-base-content"
          value={panel}
          onChange={(event) => choose(event.target.value)}
        >
          {panels.map((path) => (
            <option key={path} value={path}>
              {path.replace(/^pages\//, "").replace(/\.html$/, "")}
            </option>
          ))}
        </select>
      </label>
      <div className="grid grid-cols-[repeat(auto-fit,minmax(270px,1fr))] items-start gap-5">
        <Snippet
          title="With our listing"
          text={[put(panel), ...(hasListing ? [put(`${folder}/listing.html`)] : [])].join("\n")}
        >
          Product cards use the template in this code. Change it to match your site.
        </Snippet>
        <Snippet title="With the site’s own listing" text={`${put(panel)}\n${own}`}>
          Your product list stays; the panel hides and sorts its products.
        </Snippet>
        <Snippet title="As a form" text={pieces.includes(form) ? put(form) : put(panel)}>
          {pieces.includes(form)
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

function Snippet({ title, text, children }: { title: string; text: string; children?: ReactNode }) {
  const [copied, setCopied] = useState(false);
  return (
    <figure className="flex min-w-0 flex-col gap-1">
      <figcaption className="flex items-center justify-between">
        <span className="font-medium">{title}</span>
        <button
          type="button"
          className="btn btn-ghost btn-xs"
          aria-label={`Copy: ${title}`}
          onClick={() =>
            navigator.clipboard.writeText(text.trim()).then(
              () => setCopied(true),
              () => setCopied(false),
            )
          }
        >
          {copied ? <Check size={13} aria-hidden /> : <Copy size={13} aria-hidden />} {copied ? "Copied" : "Copy"}
        </button>
      </figcaption>
      {children ? <p className="text-[13px] text-quiet">{children}</p> : null}
      <pre
        // biome-ignore lint/a11y/noNoninteractiveTabindex: a box that scrolls must be reached by the keyboard
        tabIndex={0}
        role="region"
        aria-label={title}
        className="overflow-x-auto rounded-lg bg-sand/70 p-3 text-[13px] leading-5"
      >
        {text.trim()}
      </pre>
    </figure>
  );
}
