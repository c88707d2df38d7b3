import type { ContentfulStatusCode } from "hono/utils/http-status";
import type { Field } from "../../core/catalogue/field.ts";
import type { Sent } from "../routes/request.ts";

/** The data by which every thread opens the same shops. */
export interface ThreadSetting {
  /** The database's file. */
  data: string;
  /** Folder of the repository. */
  root: string;
  development: boolean;
  names: readonly string[];
}

/** How far the main thread is, so that a thread forgets what is of earlier. */
export interface ThreadMessage {
  /** See `writeCount`. */
  writes: number;
  /** See `Catalogues.forgotten`. */
  forgotten: number;
  /** Where the site stands on which the shop's handoff is, where there is one. */
  site: string | undefined;
}

/** A request as it goes to a thread. */
export interface SentRequest {
  method: string;
  url: string;
  headers: [string, string][];
  body?: Uint8Array<ArrayBuffer>;
  told: ThreadMessage;
}

/** An answer as it comes from a thread. */
export interface SentAnswer {
  status: number;
  headers: [string, string][];
  body: Uint8Array<ArrayBuffer>;
}

/** A catalogue that is brought, and the fields of the shop that it is for; absent for a new one. */
export interface SentCatalogue {
  sent: Sent;
  known: readonly Field[] | undefined;
}

/** A thread's result, or its error. */
export type TaskOutcome<T> =
  | { value: T }
  | { fault: { status: ContentfulStatusCode; message: string; detail: Record<string, unknown> } };
