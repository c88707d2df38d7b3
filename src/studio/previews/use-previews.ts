import { useMemo } from "react";
import useSWR from "swr";
import type { NoteChange, PreviewNote, PreviewSummary, SharedPreviews } from "../../core/api/preview.ts";
import { type ApiError, request, sendJson, shopPath } from "../api.ts";
import { tried } from "../shell/tried.ts";

/** How often new notes are looked for, in ms. */
const interval = 60_000;

/** A shop’s previews and notes, and what can be done with them. */
export function usePreviews(shop: string) {
  const path = shopPath(shop);
  const { data, error, mutate } = useSWR<SharedPreviews, ApiError>(`${path}/previews`, request<SharedPreviews>, {
    refreshInterval: interval,
  });
  const acts = useMemo(
    () => ({
      /** Shares the draft as it is now. @throws ApiError */
      async share(): Promise<PreviewSummary> {
        const preview = await sendJson<PreviewSummary>("POST", `${path}/previews`, {});
        await mutate();
        return preview;
      },
      end: (key: string, ended: boolean) =>
        tried(() => sendJson("PUT", `${path}/previews/${encodeURIComponent(key)}`, { ended }), mutate),
      change: (note: PreviewNote, change: NoteChange) =>
        tried(() => sendJson("PUT", `${path}/notes/${note.id}`, change), mutate),
    }),
    [path, mutate],
  );
  return { data, error, ...acts };
}

/** The whole address of a preview’s page, to be sent to somebody. */
export const linkTo = ({ address }: Pick<PreviewSummary, "address">, page = "/"): string =>
  new URL(address + encodeURI(page.slice(1)), location.origin).href;

/** The name of a note’s place. */
export const aboutNote = ({ place }: PreviewNote): string =>
  place.words || (place.page === "/" ? "The first page" : `The page ${place.page}`);
