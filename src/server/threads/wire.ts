import type { ContentfulStatusCode } from "hono/utils/http-status";
import type { Field } from "../../core/catalogue/field.ts";
import type { Sent } from "../routes/request.ts";

/** The data with which every thread opens the same shops. */
export interface ThreadSetting {
  /** The database's file. */
  data: string;
  /** Folder of the repository. */
  root: string;
  development: boolean;
  names: readonly string[];
}

/** The main thread's counters, so that a thread drops outdated caches. */
export interface ThreadMessage {
  /** See `writeCount`. */
  writes: number;
  /** See `Catalogues.forgotten`. */
  forgotten: number;
  /** Address of the sample site, if there is one. */
  site: string | undefined;
}

/** A request as sent to a thread. */
export interface SentRequest {
  method: string;
  url: string;
  headers: [string, string][];
  body?: Uint8Array<ArrayBuffer>;
  told: ThreadMessage;
}

/** A response as sent by a thread. */
export interface SentAnswer {
  status: number;
  headers: [string, string][];
  body: Uint8Array<ArrayBuffer>;
}

/** An uploaded catalogue, and the fields of its shop; absent for a new one. */
export interface SentCatalogue {
  sent: Sent;
  known: readonly Field[] | undefined;
}

/** A thread's result, or its error. */
export type TaskOutcome<T> =
  | { value: T }
  | { fault: { status: ContentfulStatusCode; message: string; detail: Record<string, unknown> } };
