import { stableJson } from "../../core/shop/archive/stable-json.ts";
import { saveFile } from "../shell/save-file.ts";
import type { Order } from "./rehearsal.worker.ts";

/** Downloads the measured heights, for rehearsals on the command line. */
export function HeightsFile({ orders }: { orders: readonly Order[] }) {
  const save = async () => {
    const [order] = orders;
    if (!order) return;
    // With the schemas of a whole folder, which the view does without.
    const { heightsName, writeHeights } = await import("../../core/rehearsal/heights-file.ts");
    const { address, stand } = order;
    const panels = new Map(stand.panels.map(({ slug, document }) => [slug, document]));
    const measured = Object.fromEntries(orders.map(({ band, measures }) => [band, measures]));
    saveFile(heightsName, stableJson(writeHeights(address, panels, measured)), "application/json");
  };
  return (
    <div className="text-[13px] text-quiet">
      <button type="button" className="link" onClick={() => void save()}>
        Download the measured heights
      </button>{" "}
      of this page. Beside shop.json in a shop’s folder, <code>trellis rehearse</code> uses them; without them it
      estimates.
    </div>
  );
}
