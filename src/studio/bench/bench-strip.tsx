import { useParams } from "react-router";
import { HistoryButtons } from "../shell/history-buttons.tsx";
import { HistoryList } from "../shell/history-list.tsx";
import { Saved } from "../shell/saved.tsx";
import { ShopperView } from "../shell/shopper-view.tsx";
import { Strip } from "../shell/strip.tsx";
import { shopViews } from "../shell/views.ts";
import { useBench, useSession } from "./bench-context.ts";

/** The bar of the bench: undo and redo, whether everything is saved, and a link to the shop. */
export function BenchStrip() {
  const { shop = "" } = useParams();
  const address = useSession((state) => state.address);
  const { stores } = useBench();
  return (
    <Strip views={shopViews(shop)}>
      <Saved stores={stores} />
      <div className="flex">
        <HistoryButtons stores={stores} />
        <HistoryList stores={stores} />
      </div>
      <ShopperView shop={shop} address={address} />
    </Strip>
  );
}
