import { productAt, searchAddress, shopAddress } from "../../page/page-list.ts";
import type { PanelDocument } from "../../panel/panel-schema.ts";
import { pieceOf } from "../../panel/pieces.ts";
import { linksIn } from "../../sanitize/html-text.ts";
import type { PageFindingKind, PageFound } from "./page-finding.ts";

/** The place within the shop that an address leads to; undefined if it leads elsewhere or stays on its page. */
function placeIn(address: string): string | undefined {
  if (!/^\/(?!\/)/.test(address)) return undefined;
  const [path = ""] = address.split(/[?#]/, 1);
  try {
    return `/${decodeURI(path).split("/").filter(Boolean).join("/")}`;
  } catch {
    return path;
  }
}

/** Links and pictures of a panel that lead to an address. */
const linksOf = (panel: PanelDocument): string[] =>
  panel.rows.flatMap((row) => (row.kind === "piece" ? (pieceOf(row.piece).links?.(row) ?? []) : []));

/** Links in texts, pictures and the menu that lead to a page that the shop does not have. */
export const linkNowhere: PageFindingKind = {
  name: "link-nowhere",
  level: "error",
  find({ page, pages, panels, pageAt }) {
    const leadsNowhere = (address: string): boolean => {
      const place = placeIn(address);
      return place !== undefined && place !== searchAddress && productAt(place) === undefined && !pageAt(place);
    };
    const found = (links: readonly string[], where: string, panel?: string): PageFound[] =>
      [...new Set(links)].filter(leadsNowhere).map((address) => ({
        ...(panel === undefined ? {} : { panel }),
        words: `${where} links to ${address}, but that page doesn’t exist. Change the link, or create the page.`,
      }));
    return [
      ...found([...linksIn(page.html), ...linksIn(page.layout.nothing)], "A text on this page"),
      ...[...panels].flatMap(([slug, panel]) => found(linksOf(panel), `“${panel.name}”`, slug)),
      // The menu is on every page; its links are reported once.
      ...(page.address === shopAddress
        ? found(
            pages.menu.map(({ to }) => to),
            "The shop’s menu",
          )
        : []),
    ];
  },
};
