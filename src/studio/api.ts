import useSWR from "swr";
import type { Removed, ShopSummary } from "../core/api/shop.ts";
import type { ToolState } from "../core/api/tool.ts";
import type { Problem } from "../core/catalogue/problem.ts";
import type { KindName } from "../core/shop/kinds.ts";
import { responseTo, send } from "./ahead.ts";

/** An unsuccessful response of the server. */
export class ApiError extends Error {
  override name = "ApiError";
  /** HTTP status; 0 when the server could not be reached. */
  readonly status: number;
  readonly detail: { problem?: Problem; path?: string; version?: number; document?: unknown };
  constructor(status: number, message: string, detail: ApiError["detail"] = {}) {
    super(message);
    this.status = status;
    this.detail = detail;
  }
}

/** Sends a request to the server. @throws ApiError */
export async function request<T>(path: string, init?: RequestInit): Promise<T> {
  let response: Response;
  try {
    response = await (init ? send(`/api${path}`, init) : responseTo(`/api${path}`));
  } catch (error) {
    const late = error instanceof DOMException && error.name === "TimeoutError";
    throw new ApiError(
      0,
      late
        ? "The server isn’t responding. Try again in a moment."
        : "The server cannot be reached. Is it still running?",
    );
  }
  const body = await response.json().catch(() => ({}));
  if (!response.ok) throw new ApiError(response.status, body.error ?? `The server answered ${response.status}.`, body);
  return body;
}

/** Sends a value as JSON. @throws ApiError */
export const sendJson = <T>(method: "POST" | "PUT", path: string, value: unknown): Promise<T> =>
  request<T>(path, { method, headers: { "content-type": "application/json" }, body: JSON.stringify(value) });

export const shopPath = (shop: string): string => `/shops/${encodeURIComponent(shop)}`;

/** Address of a document, or of all documents of a kind. */
export const documentPath = (shop: string, kind: KindName, slug?: string): string =>
  `${shopPath(shop)}/documents/${kind}${slug === undefined ? "" : `/${encodeURIComponent(slug)}`}`;

/** Address of the order of a shop's documents of a kind. */
export const orderPath = (shop: string, kind: KindName): string => `${shopPath(shop)}/document-order/${kind}`;
export const removedPath = (shop?: string, kind?: KindName): string =>
  shop === undefined || kind === undefined ? "/removed" : `${shopPath(shop)}/removed/${kind}`;

export const useRemoved = (path: string) => useSWR<Removed[], ApiError>(path, request<Removed[]>);
export const useTool = () => useSWR<ToolState, ApiError>("/tool", request<ToolState>);
export const useShops = () => useSWR<ShopSummary[], ApiError>("/shops", request<ShopSummary[]>);
export const useShop = (shop: string) => useSWR<ShopSummary, ApiError>(shopPath(shop), request<ShopSummary>);
