import { useCallback, useState } from "react";
import useSWR, { type SWRResponse } from "swr";
import type { EditionSummary } from "../../core/api/edition.ts";
import type { HandoffPreview } from "../../core/api/handoff.ts";
import type { PanelHeights } from "../../core/api/panel-heights.ts";
import type { Difference } from "../../core/document/differences.ts";
import type { Checked } from "../../core/report/check-shop.ts";
import type { Site } from "../../core/shop/shop-schema.ts";
import { ApiError, request, sendJson, shopPath } from "../api.ts";

/** A state of the shop: the draft, or an edition by its number. */
export type EditionState = number | "draft";

export const stateName = (state: EditionState): string => (state === "draft" ? "Draft" : `Edition ${state}`);

/** A shop's editions, newest first. */
export const useEditions = (shop: string) =>
  useSWR<EditionSummary[], ApiError>(`${shopPath(shop)}/editions`, request<EditionSummary[]>, {
    revalidateOnMount: true,
  });

const between = (from: EditionState, to: EditionState): string => `?from=${from}&to=${to}`;

/** Fetches the changes between two versions, in words, each time the view opens. */
export const useDifferences = (shop: string, from: EditionState | undefined, to: EditionState) =>
  useSWR<Difference[], ApiError>(
    from === undefined ? null : `${shopPath(shop)}/differences${between(from, to)}`,
    request<Difference[]>,
  );

/** Findings about panels in one state that the other does not have. */
export const useNewFindings = (shop: string, from: EditionState | undefined, to: EditionState) =>
  useSWR<Checked[], ApiError>(
    from === undefined ? null : `${shopPath(shop)}/new-findings${between(from, to)}`,
    request<Checked[]>,
  );

/**
 * The handoff of a state of the shop; made again when the site's settings change.
 * @param site undefined while it is being saved
 */
export const useHandoff = (shop: string, of: EditionState, site: Site | undefined) =>
  useSWR<HandoffPreview, ApiError>(
    site === undefined ? null : [`${shopPath(shop)}/handoff?of=${of}`, site],
    ([path]: [string, Site]) => request<HandoffPreview>(path),
    { revalidateOnFocus: false, shouldRetryOnError: false },
  );

/** Prefix of the addresses of a state's pages. */
export const editionBase = (shop: string, state: EditionState): string =>
  state === "draft" ? `/draft/${encodeURIComponent(shop)}` : `/edition/${encodeURIComponent(shop)}/${state}`;

/**
 * Whether the heights of a handoff’s panels are measured, and what to measure if they are not. A draft changes, so its
 * heights stay estimated; so do those of an edition that could not be measured or stored.
 */
export function useMeasuredHeights(
  shop: string,
  of: EditionState,
  { data, mutate }: SWRResponse<HandoffPreview, ApiError>,
) {
  const [failed, setFailed] = useState<EditionState>();
  const done = useCallback(
    async (heights: PanelHeights["heights"] | undefined) => {
      try {
        if (!heights) return setFailed(of);
        await sendJson("PUT", `${shopPath(shop)}/editions/${of}/heights`, { heights });
        await mutate();
      } catch (error) {
        if (!(error instanceof ApiError)) throw error;
        setFailed(of);
      }
    },
    [shop, of, mutate],
  );
  const wanted = data && !data.measured && of !== "draft" && failed !== of;
  return wanted
    ? ({ state: "measuring", wanted: { edition: of, pages: data.pages, done } } as const)
    : ({ state: data?.measured ? "measured" : "estimated", wanted: undefined } as const);
}
