import { readFileSync } from "node:fs";
import { dirname, join } from "node:path";
import { fileURLToPath } from "node:url";
import { encodeCatalogue } from "../../core/catalogue/binary.ts";
import type { DisplayName } from "../../core/display/displays.ts";
import type { ShopFiles } from "../../core/folder/shop-files.ts";
import type { WholeShop } from "../../core/folder/whole-shop.ts";
import { pageList } from "../../core/page/page-list.ts";
import { facetRows } from "../../core/panel/panel.ts";
import type { Site } from "../../core/shop/shop-schema.ts";
import { siteFault, siteOf } from "../../core/shop/site.ts";
import { type StillPage, stillPage } from "../../storefront/handoff/draw.tsx";
import { handoffFormat, type Manifest, manifestName, type ShopFile } from "../../storefront/handoff/wire.ts";
import { displaysOf, type PagePanel } from "../../storefront/page/page-panel.ts";
import type { Boot } from "../../storefront/shop/boot.ts";
import { wordsOf } from "../../storefront/words/spoken.ts";
import { Fault } from "../fault.ts";
import { bootOf, lookCss, openShop } from "../shop-boot.ts";
import { Catalogues } from "../store/catalogues.ts";
import { wholeSource } from "../store/whole-source.ts";
import { bundle, gzippedSize } from "./bundle.ts";
import { checkCard, slotsOf, usualCard } from "./card.ts";
import { usedFields } from "./fields.ts";
import { Markup } from "./markup.ts";
import { hashed } from "./names.ts";
import { queryTable } from "./query-table.ts";
import { readme } from "./readme.ts";
import { handoffSheet } from "./sheet.ts";
import { headTags, tryPage } from "./tags.ts";

const here = dirname(fileURLToPath(import.meta.url));

/** What is wanted of a handoff. */
export interface HandoffWishes {
  /** Addresses of the pages that are drawn; all on which panels stand by default. */
  pages?: readonly string[] | undefined;
  /** What is otherwise than the shop's own settings have it. */
  site?: Partial<Site> | undefined;
  /** The card template of the site; a plain one by default. */
  card?: string | undefined;
}

/** What a handoff has come to. Sizes are bytes, gzipped as they go over the wire. */
export interface HandoffReport {
  pages: number;
  panels: number;
  displays: DisplayName[];
  sizes: { script: number; style: number; shop: number; catalogue: number; cards: number };
}

export { manifestName };

export interface Handoff {
  files: ShopFiles;
  report: HandoffReport;
}

/**
 * The files that a real site takes: see `docs/handoff.md`. The same shop gives the same files.
 * @throws Fault when settings, the card or an address is wrong
 */
export async function makeHandoff(whole: WholeShop, wishes: HandoffWishes = {}): Promise<Handoff> {
  const site = { ...siteOf(whole.shop), ...wishes.site };
  const card = checkCard(wishes.card ?? usualCard);
  const source = wholeSource({
    key: "handoff",
    edition: undefined,
    shop: { id: 0, slug: "shop", name: whole.name, currency: whole.currency, variantCount: 0 },
    open: async () => whole,
    placed: (document) => withPictures(document, site.at),
  });
  const catalogues = new Catalogues();
  const open = await openShop(source, catalogues, "", undefined);
  const { facts } = open;
  const drawn: { boot: Boot; still: StillPage }[] = [];
  for (const address of addressesOf(open, wishes.pages)) {
    const boot = await bootOf(open, address, { panel: undefined, stage: false });
    if (!boot || boot.panels.length === 0) continue;
    drawn.push({ boot, still: await stillPage({ ...boot, base: "", names: site.names }, facts) });
  }
  if (drawn.length === 0)
    throw new Fault(422, "No panel stands on any of these pages, so there is nothing to hand over.");

  const panels = oneEach(drawn.flatMap(({ boot }) => boot.panels));
  const keys = panels.flatMap(({ panel }) => facetRows(panel).map(({ field }) => field));
  const fault = siteFault(site, new Set(keys));
  if (fault) throw new Fault(422, fault);

  const markup = new Markup({ site, card, currency: whole.currency, fields: open.facts.index.catalogue.fields });
  for (const { still } of drawn) markup.addPage(still);

  const displays = displaysOf(panels).sort();
  const script = await bundle(displays);
  const looks = await lookCss(open, panels);
  const { css, fonts } = handoffSheet({
    limits: open.settings.limits,
    bars: open.pages.bars,
    displays,
    panels,
    looks: looks.replaceAll(`${site.at}pictures/`, "pictures/"),
    parkedStyles: markup.styles,
  });
  const { fields } = facts.index.catalogue;
  const used = usedFields({
    fields,
    panels: panels.map(({ panel }) => panel),
    pages: drawn.map(({ boot }) => boot.page),
    search: open.pages.search,
    slots: slotsOf(card),
  });
  const { catalogue } = facts.index;
  const language = open.around.language;
  const words = wordsOf(language);
  const shop: ShopFile = {
    format: handoffFormat,
    name: whole.name,
    currency: whole.currency,
    limits: open.settings.limits,
    bars: open.pages.bars,
    search: open.pages.search,
    swatches: Object.assign({}, ...drawn.map(({ boot }) => boot.swatches)),
    names: site.names,
    link: site.link,
    language,
    ...(words === wordsOf("en") ? {} : { words }),
  };

  const text = (content: string) => new TextEncoder().encode(content);
  const bytes = {
    script: text(script),
    style: text(css),
    shop: text(JSON.stringify(shop)),
    catalogue: encodeCatalogue(catalogue, ({ key }) => used.counted.has(key)),
    cards: encodeCatalogue(catalogue, ({ key }) => used.shown.has(key)),
  };
  const files = {
    script: hashed("trellis.js", bytes.script),
    style: hashed("trellis.css", bytes.style),
    shop: hashed("shop.json", bytes.shop),
    catalogue: hashed("catalogue.bin", bytes.catalogue),
    cards: hashed("cards.bin", bytes.cards),
  };
  const manifest: Manifest = { format: handoffFormat, files };
  const report: HandoffReport = {
    pages: drawn.length,
    panels: panels.length,
    displays,
    sizes: {
      script: gzippedSize(bytes.script),
      style: gzippedSize(bytes.style),
      shop: gzippedSize(bytes.shop),
      catalogue: gzippedSize(bytes.catalogue),
      cards: gzippedSize(bytes.cards),
    },
  };
  const tags = { at: site.at, script: files.script, style: files.style, bytes };
  const first = drawn[0] as (typeof drawn)[number];
  const near = new Markup({ site: { ...site, at: "./" }, card, currency: whole.currency, fields });
  const shownHere = near.addPage(withPlaces(first.still, site.at));
  const all: [string, Uint8Array][] = [
    ...Object.entries(files).map(([role, name]): [string, Uint8Array] => [name, bytes[role as keyof typeof bytes]]),
    [manifestName, text(`${JSON.stringify(manifest, null, 2)}\n`)],
    ["head.html", text(headTags(tags))],
    ["try.html", text(tryPage(whole.name, tags, shownHere))],
    ["trellis.d.ts", readFileSync(join(here, "trellis.d.ts"))],
    [
      "README.md",
      text(
        readme({
          shop: whole.name,
          site,
          report,
          tags: headTags(tags),
          pieces: [...markup.files.keys()],
          table: queryTable(panels, fields, site.names, open.around.say),
          card,
        }),
      ),
    ],
    ...[...markup.files].map(([path, html]): [string, Uint8Array] => [path, text(html)]),
    ...fonts,
    ...[...whole.pictures].map(([name, content]): [string, Uint8Array] => [`pictures/${name}`, content]),
  ];
  return { files: new Map(all), report };
}

/** The pages that are wanted. @throws Fault for one that is not there */
function addressesOf(
  { pages, facts }: Awaited<ReturnType<typeof openShop>>,
  wanted: readonly string[] | undefined,
): string[] {
  const all = pageList(pages, facts.pageFacts()).map(({ address }) => address);
  const gone = wanted?.find((address) => !all.includes(address));
  if (gone !== undefined) throw new Fault(422, `There is no page ${gone}.`, { page: gone, pages: all });
  return [...(wanted ?? all)];
}

/** Each panel once, wherever it stands. */
const oneEach = (panels: readonly PagePanel[]): PagePanel[] => [
  ...new Map(panels.map((one) => [one.slug, one])).values(),
];

/** A document with its pictures where the handoff has them. */
const withPictures = <D>(document: D, at: string): D =>
  JSON.parse(JSON.stringify(document).replaceAll("/pictures/shop/", `${at}pictures/`));

/** A page drawn for where the handoff's own files are, and not for the site. */
const withPlaces = ({ born, states }: StillPage, at: string): StillPage => {
  const moved = <T>(value: T): T => JSON.parse(JSON.stringify(value).replaceAll(`${at}pictures/`, "./pictures/"));
  const panels = moved(born.panels);
  const swatches = moved(born.swatches);
  return { born: { ...born, panels, swatches }, states: states.map((state) => ({ ...state, panels, swatches })) };
};

/** What an earlier handoff named as its files, by the text of its manifest; undefined where that is none. */
export function manifestOf(text: string): Manifest | undefined {
  try {
    return JSON.parse(text);
  } catch {
    return undefined;
  }
}

/** Whether a file of an earlier handoff is of no use any more: its name has a hash, and neither the present nor the last names it. */
export function isStale(path: string, last: Manifest | undefined): boolean {
  if (/^pages\/.+\.html$/.test(path)) return true;
  return (
    /^(?:trellis|shop|catalogue|cards)\.[0-9a-f]{12}\.\w+$/.test(path) &&
    !Object.values(last?.files ?? {}).includes(path)
  );
}
