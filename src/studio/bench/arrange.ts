import { toast } from "sonner";
import { addRow, moveRow, removeRow, setLabel, setSetting } from "../../core/panel/edit.ts";
import { isFacet } from "../../core/panel/panel.ts";
import type { Row } from "../../core/panel/panel-schema.ts";
import { freeId } from "../../core/panel/row-id.ts";
import { rowTitle } from "../../core/panel/row-title.ts";
import type { Band } from "../../core/settings/band.ts";
import type { ArrangeAct } from "../../storefront/stage/arrange/act.ts";
import { openDocument } from "../shell/documents.ts";
import type { OpenShop } from "../shell/shop-context.ts";
import type { Bench } from "./bench-context.ts";
import { placeOn } from "./place.ts";

/** Applies an act on the page itself, with the same edits as in the lattice. @param band of the page */
export async function applyArrangement(act: ArrangeAct, band: Band, shop: OpenShop, bench: Bench): Promise<void> {
  const { panel: store, session } = bench;
  const { document, apply } = store.getState();
  if (act.do === "add") return session.setState({ adding: act.at });
  if (act.do === "place") return placeOn(band, act.placement, shop, bench);
  const row = document.rows.find(({ id }) => id === act.row);
  if (!row) return;
  const title = rowTitle(row, shop.fieldOf);
  switch (act.do) {
    case "move":
      return apply(moveRow(row.id, act.to, title));
    case "style":
      return session.setState({
        styling: { row: row.id, part: act.part, band, left: act.left, right: act.right, y: act.y },
      });
    case "settings":
      return session.setState({ unfolded: row.id });
    case "remove":
      return apply(removeRow(row.id, title));
    case "label":
      return apply(setLabel(row.id, act.text, title));
    case "share":
      return apply(setSetting(row.id, "share", act.share, title, band));
    case "html": {
      const cleaner = await import("../../core/sanitize/clean-html.ts").catch(() => undefined);
      if (!cleaner) {
        toast.error("The text couldn’t be saved. Reload the page and write it again.");
        return;
      }
      const html = cleaner.cleanHtml(act.html);
      return apply({
        words: `Write ${title}`,
        change: ({ rows }) => {
          const own = rows.find(({ id }) => id === row.id);
          if (own?.kind === "piece" && own.piece === "text") own.html = html;
        },
      });
    }
    case "carry":
      return carry(row, title, act.panel, shop, bench);
  }
}

/** Moves a row to another panel. It is added there before it is removed here, so that it can't be lost. */
async function carry(
  row: Row,
  title: string,
  panel: string,
  { shop }: OpenShop,
  { panel: store, include }: Bench,
): Promise<void> {
  const other = await openDocument(shop.slug, "panel", panel);
  const { document } = other.getState();
  const same = document.rows.filter(isFacet).find(({ field }) => row.kind === "facet" && field === row.field);
  if (same && row.kind === "facet" && same.mode !== row.mode) {
    toast.error(`“${document.name}” has different settings for ${title}. Make them the same first.`);
    return;
  }
  include(other);
  other.getState().apply(addRow({ ...structuredClone(row), id: freeId(document.rows, row.id) }, title));
  store.getState().apply(removeRow(row.id, title));
}
