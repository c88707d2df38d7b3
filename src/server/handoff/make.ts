import { readFileSync } from "node:fs";
import { join } from "node:path";
import type { HandoffReport } from "../../core/api/handoff.ts";
import type { PanelHeights } from "../../core/api/panel-heights.ts";
import type { DisplayName } from "../../core/displays/displays.ts";
import { fontsNamedIn } from "../../core/look/fonts.ts";
import { valueOn } from "../../core/look/resolve.ts";
import { facetRows } from "../../core/panel/panel.ts";
import type { LocalFacts } from "../../core/profile/local-facts.ts";
import type { HeightsFile } from "../../core/rehearsal/heights-file.ts";
import type { ShopFiles } from "../../core/shop/archive/shop-files.ts";
import type { WholeShop } from "../../core/shop/archive/whole-shop.ts";
import { idList } from "../../core/shop/id-list.ts";
import { withPictureFolder } from "../../core/shop/pictures.ts";
import type { Site } from "../../core/shop/shop-schema.ts";
import { siteOf } from "../../core/shop/site.ts";
import { type StillPage, stillPage } from "../../storefront/handoff/draw.tsx";
import {
  baseNames,
  checkedRoles,
  drawnFrom,
  type FileRole,
  type HandoffManifest,
  type HandoffTrial,
  handoffFormat,
  manifestName,
  type PieceList,
} from "../../storefront/handoff/wire.ts";
import { displaysOf, type PagePanel } from "../../storefront/page/page-panel.ts";
import type { Boot } from "../../storefront/shop/boot.ts";
import { isBuild, repository } from "../repository.ts";
import { inLanguage, lookCss } from "../shop-boot.ts";
import { bundle, gzippedSize } from "./bundle.ts";
import { checkCard, defaultCard, slotsOf } from "./card.ts";
import { dataFiles } from "./data-files.ts";
import { earlyScript } from "./early.ts";
import { Markup } from "./markup.ts";
import { hashed, integrityOf } from "./names.ts";
import { bootsOf, checkSite, openWhole, type WholeBoot } from "./open-whole.ts";
import { queryTable } from "./query-table.ts";
import { readme } from "./readme.ts";
import { handoffSheet } from "./sheet.ts";
import { spaceName, spaceSheet } from "./space.ts";
import { headTags, lineTags, loaderName, tryPage, tryStyle } from "./tags.ts";

export { manifestName };

/** The options of a handoff. */
export interface HandoffWishes {
  /** Addresses of the pages to draw; by default all pages with a panel. */
  pages?: readonly string[] | undefined;
  /** Settings of the site that differ from the shop's. */
  site?: Partial<Site> | undefined;
  /** The site's card template; a plain one by default. */
  card?: string | undefined;
  /** Number of the edition that it is. */
  edition?: number | undefined;
  /** A second edition in a folder of its own, for a share of the tabs. */
  trial?: HandoffTrial | undefined;
  /** Heights of panels that a browser has measured; the others are read from `heights` or estimated. */
  measured?: PanelHeights["heights"] | undefined;
  /** Row heights from the shop’s folder, which a browser has measured for rehearsals. */
  heights?: HeightsFile | undefined;
  /** BCP 47 tag of a single language, one of the shop's; by default all of them. */
  language?: string | undefined;
}

export interface Handoff {
  files: ShopFiles;
  report: HandoffReport;
  /** The tags in the head of a page: those that never change, and those for markup in the page. */
  tags: { line: string; markup: string };
  pieces: PieceList;
  /** Id of the first product, as an example. */
  product: string;
}

/** The list of product ids for a site's own list. */
export const idsName = "ids.csv";

const fileRoles = Object.keys(baseNames) as FileRole[];

/** Something for each of some roles. */
const byRole = <R extends FileRole>(roles: readonly R[], of: (role: R) => string) =>
  Object.fromEntries(roles.map((role) => [role, of(role)])) as Record<R, string>;

const encoded = (content: string): Uint8Array => new TextEncoder().encode(content);

/**
 * The files for a real site: see `docs/handoff.md`. The same shop gives the same files.
 * @throws HttpError if settings, the card or an address is wrong
 */
export async function makeHandoff(whole: WholeShop, wishes: HandoffWishes = {}): Promise<Handoff> {
  const site = { ...siteOf(whole.shop), ...wishes.site };
  const card = checkCard(wishes.card ?? defaultCard);
  const open = await openWhole(whole, site, wishes.language);
  const { facts } = open;
  const { fields } = facts.index.catalogue;
  const boots = await bootsOf(open, wishes.pages);
  const panels = [...new Map(boots.flatMap((boot) => boot.panels).map((one) => [one.slug, one])).values()];
  checkSite(site, panels);

  const others = wishes.language === undefined ? whole.shop.languages : [];
  const data = dataFiles(open, boots, slotsOf(card), wishes.edition, others);
  const nameOf = (role: FileRole, content: Uint8Array) => hashed(baseNames[role], content);
  const named = { shop: nameOf("shop", data.shop), catalogue: nameOf("catalogue", data.catalogue) };
  const settings = { site, card, currency: whole.currency, fields };
  const markup = new Markup(settings);
  const drawn = (spoken: readonly Boot[], language?: string) =>
    Promise.all(
      spoken.map((boot) => stillPage({ ...boot, base: "", names: site.names }, drawnFrom(named), facts, language)),
    );
  const stills = await drawn(boots);
  for (const still of stills) markup.addPage(still);
  for (const language of others)
    for (const still of await drawn(await bootsOf(inLanguage(open, language), wishes.pages), language))
      markup.addPage(still);

  const displays = displaysOf(panels).sort();
  const early = earlyScript(panels, site.names);
  const { code, loader, fonts } = await codeOf(open, panels, displays, markup.styles);
  const bytes: Record<FileRole, Uint8Array> = {
    ...data,
    ...code,
    pieces: encoded(JSON.stringify(markup.pieces)),
    early: encoded(early),
  };
  const files = byRole(fileRoles, (role) => nameOf(role, bytes[role]));
  const integrity = byRole(checkedRoles, (role) => integrityOf(bytes[role]));
  const { trial } = wishes;
  const manifest: HandoffManifest = { format: handoffFormat, ...(trial ? { trial } : {}), files, integrity };
  const report: HandoffReport = {
    pages: boots.length,
    panels: panels.length,
    displays,
    sizes: {
      script: gzippedSize(bytes.script),
      engine: gzippedSize(bytes.engine),
      style: gzippedSize(bytes.style),
      shop: gzippedSize(bytes.shop),
      catalogue: gzippedSize(bytes.catalogue),
      cards: gzippedSize(bytes.cards),
    },
  };
  const [face] = fontsNamedIn(String(valueOn(open.look, "text.font")));
  const font = face && [...fonts.keys()].find((name) => name.includes(`/${face.package}-latin-wght-normal.`));
  const tags = {
    at: site.at,
    script: files.script,
    style: files.style,
    early: files.early,
    shop: files.shop,
    font,
    bytes,
  };
  const heads = { line: lineTags(site.at), markup: headTags(tags) };
  const product = facts.index.catalogue.productIds[0] ?? "";
  const near = new Markup({ ...settings, site: { ...site, at: "./" } });
  const [first] = stills;
  const said = readme({
    shop: whole.name,
    site,
    languages: [open.around.language, ...others],
    report,
    tags: heads,
    product,
    example: exampleOf(panels, facts),
    pieces: [...markup.files.keys()],
    table: queryTable(panels, fields, site.names, open.around.say),
    card,
  });
  return {
    report,
    tags: heads,
    pieces: markup.pieces,
    product,
    files: new Map<string, Uint8Array>([
      ...fileRoles.map((role) => [files[role], bytes[role]] as const),
      [manifestName, encoded(`${JSON.stringify(manifest, null, 2)}\n`)],
      [loaderName, encoded(early + loader)],
      [spaceName, encoded(spaceSheet(boots, open.settings.limits, facts, wishes))],
      ["head.html", encoded(heads.markup)],
      ...(first
        ? [["try.html", encoded(tryPage(whole.name, tags, near.addPage(withPlaces(first, site.at))))] as const]
        : []),
      ["try.css", encoded(tryStyle)],
      [idsName, encoded(idList(facts.index.catalogue, site.link))],
      ["trellis.d.ts", readFileSync(join(repository, isBuild ? "dist/handoff" : "src/server/handoff", "trellis.d.ts"))],
      ["README.md", encoded(said)],
      ...[...markup.files].map(([path, html]) => [path, encoded(html)] as const),
      ...fonts,
      ...[...whole.pictures].map(([name, content]) => [`pictures/${name}`, content] as const),
    ]),
  };
}

/** The first option of the first facet with options, for the instructions. */
function exampleOf(panels: readonly PagePanel[], { index }: LocalFacts): { field: string; option: string } | undefined {
  const row = panels
    .flatMap(({ panel }) => facetRows(panel))
    .find(({ field, mode }) => mode !== "range" && mode !== "tree" && index.field(field));
  const option = row && index.options(row.field).options[0];
  return option && { field: row.field, option: option.id };
}

/** A page drawn for the handoff's own folder rather than for the site. */
function withPlaces({ born, states, ...still }: StillPage, at: string): StillPage {
  const moved = <T>(value: T): T => withPictureFolder(value, `${at}pictures/`, "./pictures/");
  const panels = moved(born.panels);
  const swatches = moved(born.swatches);
  return {
    ...still,
    born: { ...born, panels, swatches },
    states: states.map((state) => ({ ...state, panels, swatches })),
  };
}

/** The script, the engine and the style sheet, with the font files it uses. */
async function codeOf(
  open: WholeBoot,
  panels: readonly PagePanel[],
  displays: readonly DisplayName[],
  parkedStyles: Parameters<typeof handoffSheet>[0]["parkedStyles"],
) {
  const { css, fonts } = handoffSheet({
    limits: open.settings.limits,
    bars: open.pages.bars,
    displays,
    panels,
    looks: (await lookCss(open, panels)).replaceAll(`${open.site.at}pictures/`, "pictures/"),
    parkedStyles,
  });
  const { script, engine, loader, visits, check } = await bundle(displays);
  return {
    loader,
    code: {
      script: encoded(script),
      engine: encoded(engine),
      style: encoded(css),
      visits: encoded(visits),
      check: encoded(check),
    },
    fonts,
  };
}
