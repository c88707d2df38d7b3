import useSWR from "swr";
import type { VisitSource, VisitState } from "../../../core/api/visit-report.ts";
import { type ApiError, request, shopPath } from "../../api.ts";

export const visitsPath = (shop: string, of?: VisitSource): string =>
  `${shopPath(shop)}/visits${of === undefined ? "" : `?of=${of}`}`;

/** Whether a report's visits were made by trial shoppers, for the demo. */
export const isMadeUp = ({ source, file }: VisitState): boolean => source === "file" && file?.madeUp === true;

/** Fetches a shop's visits. @param of the source of the report; by default the one there is */
export const useVisits = (shop: string, of?: VisitSource) =>
  useSWR<VisitState, ApiError>(visitsPath(shop, of), request<VisitState>, { keepPreviousData: true });
