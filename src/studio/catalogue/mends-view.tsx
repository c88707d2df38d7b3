import { Undo2 } from "lucide-react";
import { useStore } from "zustand";
import { removeMend } from "../../core/catalogue/mend/edit.ts";
import { mendWords } from "../../core/catalogue/mend/mend-words.ts";
import { useOpenShop } from "../shell/shop-context.ts";
import { CatalogueFrame } from "./catalogue-frame.tsx";

/** All corrections of the imported catalogue, each removable. */
export function MendsView() {
  const { mends: store, mended, fieldOf } = useOpenShop();
  const mends = useStore(store, (state) => state.document.mends);
  return (
    <CatalogueFrame>
      <div className="min-h-0 flex-1 overflow-auto">
        <p className="mb-3 max-w-2xl text-quiet">
          The imported file is never changed. Corrections are applied on top, in this order, and again to every newer
          file.
        </p>
        {mends.length === 0 ? (
          <p className="max-w-2xl rounded-box border border-hair px-5 py-6 text-quiet">
            No corrections yet. Open a field to merge, rename or split its values, or edit a cell in the table of
            products.
          </p>
        ) : (
          <ol className="max-w-3xl divide-y divide-hair rounded-box border border-hair" aria-label="Corrections">
            {mends.map((mend) => {
              const words = mendWords(mend, fieldOf(mend.field)?.name ?? mend.field);
              const changed = mended[mend.id] ?? 0;
              return (
                <li key={mend.id} className="flex items-center gap-4 px-4 py-2">
                  <span className="min-w-0 flex-1 break-words">{words}</span>
                  <span className={`flex-none tabular-nums ${changed === 0 ? "text-error" : "text-quiet"}`}>
                    {changed === 0
                      ? "matches nothing now"
                      : `${changed.toLocaleString("en")} ${changed === 1 ? "product" : "products"}`}
                  </span>
                  <button
                    type="button"
                    className="btn btn-sm"
                    aria-label={`Remove: ${words}`}
                    onClick={() => store.getState().apply(removeMend(mend.id, words))}
                  >
                    <Undo2 size={14} aria-hidden /> Remove
                  </button>
                </li>
              );
            })}
          </ol>
        )}
      </div>
    </CatalogueFrame>
  );
}
