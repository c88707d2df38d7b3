import useSWR from "swr";
import type { Field } from "../core/catalogue/field.ts";
import type { Problem } from "../core/catalogue/problem.ts";
import type { ColumnReading } from "../core/catalogue/reading.ts";
import type { PanelDocument } from "../core/panel/document.ts";

export interface PanelSummary {
  slug: string;
  name: string;
  version: number;
}

export interface ShopSummary {
  slug: string;
  name: string;
  currency: string;
  products: number;
  variants: number;
  /** Of the imported catalogue, computed ones left out. */
  fields: Field[];
  /** How the columns of its last file were read. */
  reading: (ColumnReading & { heading: string })[];
  panels: PanelSummary[];
}

/** A document as the server has it, and the number of times that it was saved. */
export interface Stored<D> {
  version: number;
  document: D;
}

export type StoredPanel = PanelSummary & Stored<PanelDocument>;

/** An answer of the server that is not a success. */
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
    response = await fetch(`/api${path}`, init);
  } catch {
    throw new ApiError(0, "The server cannot be reached. Is it still running?");
  }
  const body = await response.json().catch(() => ({}));
  if (!response.ok) throw new ApiError(response.status, body.error ?? `The server answered ${response.status}.`, body);
  return body as T;
}

export const sendJson = <T>(method: "POST" | "PUT", path: string, value: unknown): Promise<T> =>
  request<T>(path, { method, headers: { "content-type": "application/json" }, body: JSON.stringify(value) });

export const shopPath = (shop: string): string => `/shops/${encodeURIComponent(shop)}`;
export const panelPath = (shop: string, panel: string): string => `${shopPath(shop)}/panels/${encodeURIComponent(panel)}`;

export const useShops = () => useSWR<ShopSummary[], ApiError>("/shops", request<ShopSummary[]>);
export const useShop = (shop: string) => useSWR<ShopSummary, ApiError>(shopPath(shop), request<ShopSummary>);
