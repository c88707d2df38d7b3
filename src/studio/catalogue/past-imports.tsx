import useSWR from "swr";
import type { PastImport } from "../../core/api/shop.ts";
import { dateTimeFormat } from "../../core/document/date-time.ts";
import { type ApiError, request, sendJson, shopPath } from "../api.ts";
import { tried } from "../shell/tried.ts";

/** Reverts an import and reloads the shop, since its corrections and swatches change too. */
export const requestRevert = (shop: string, id: number): Promise<boolean> =>
  tried(
    () => sendJson("POST", `${shopPath(shop)}/imports/${id}/take-back`, {}),
    async () => location.assign(`/shops/${encodeURIComponent(shop)}/catalogue`),
  );

export const importsPath = (shop: string): string => `${shopPath(shop)}/imports`;

/** Imports of the last 30 days, each revertible. */
export function PastImports({ shop }: { shop: string }) {
  const { data: imports } = useSWR<PastImport[], ApiError>(importsPath(shop), request<PastImport[]>);
  if (!imports || imports.length === 0) return null;
  return (
    <section aria-label="Earlier imports" className="mx-auto w-full max-w-2xl px-6 pb-8">
      <h2 className="text-lg">Earlier imports</h2>
      <p className="mb-2 text-[13px] text-quiet">
        Undoing an import restores the catalogue, corrections and swatches from before it. Panels, pages and looks stay
        unchanged. Each import can be undone for 30 days.
      </p>
      <ul className="divide-y divide-hair rounded-box border border-hair bg-base-100">
        {imports.map(({ id, at, words, before, after }) => (
          <li key={id} className="flex items-center gap-3 px-4 py-2">
            <span className="min-w-0 flex-1">
              <span className="block truncate" title={words}>
                {words}
              </span>
              <span className="text-[13px] text-quiet tabular-nums">
                {dateTimeFormat.format(new Date(at))}, {before.toLocaleString("en")} products before,{" "}
                {after.toLocaleString("en")} after
              </span>
            </span>
            <button
              type="button"
              className="btn btn-sm"
              aria-label={`Undo ${words}`}
              onClick={() => void requestRevert(shop, id)}
            >
              Undo
            </button>
          </li>
        ))}
      </ul>
    </section>
  );
}
