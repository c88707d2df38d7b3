import useSWR from "swr";
import type { RemovedShop } from "../../core/wire/shop.ts";
import { type ApiError, request, shopPath } from "../api.ts";
import { bringBack } from "../shell/tried.ts";

const day = new Intl.DateTimeFormat("en", { dateStyle: "medium" });

/** Shops that were removed and can still be brought back. */
export function RemovedShops({ changed }: { changed(): Promise<void> }) {
  const { data: removed } = useSWR<RemovedShop[], ApiError>("/removed", request<RemovedShop[]>);
  if (!removed || removed.length === 0) return null;
  return (
    <section aria-label="Removed shops" className="mt-8">
      <h2 className="mb-1 text-lg">Removed</h2>
      <p className="mb-2 text-[13px] text-quiet">Each can be brought back for 30 days, as it was.</p>
      <ul className="divide-y divide-hair rounded-box border border-hair">
        {removed.map(({ slug, name, removedAt }) => (
          <li key={slug} className="flex items-center gap-3 px-5 py-2">
            <span className="flex-1">{name}</span>
            <span className="text-[13px] text-quiet">{day.format(new Date(removedAt))}</span>
            <button type="button" className="btn btn-sm" onClick={() => void bringBack(shopPath(slug), changed)}>
              Bring back
            </button>
          </li>
        ))}
      </ul>
    </section>
  );
}
