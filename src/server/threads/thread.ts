/** A worker thread: the same server over the same file, read-only, for work that takes the processor long. */
import { move, transferableSymbol, valueSymbol, workerData } from "piscina";
import { createApp } from "../app.ts";
import { asFault } from "../routes/as-fault.ts";
import type { Sent } from "../routes/request.ts";
import { Catalogues } from "../store/catalogues.ts";
import { openForReading } from "../store/database.ts";
import type { KeptPicture } from "../store/picture-of.ts";
import { syncWriteCount } from "../store/write.ts";
import { readers, type UploadedCatalogue, type UploadedShop } from "../uploads.ts";
import { type SentTask, taken } from "./run-task.ts";
import type { SentAnswer, SentCatalogue, SentRequest, TaskOutcome, ThreadMessage, ThreadSetting } from "./wire.ts";

const { data, ...setting }: ThreadSetting = workerData;
const orm = await openForReading(data);
const catalogues = new Catalogues();
let told: ThreadMessage | undefined;
const app = createApp({ ...setting, orm, catalogues, standIn: () => told?.site, keeps: false });

/** Transfers bytes instead of copying them. */
const handedOver = (value: SentAnswer | TaskOutcome<object>, bytes: Uint8Array): object =>
  move({ [transferableSymbol]: [bytes.buffer], [valueSymbol]: value });

/** Answers a request. @returns a {@link SentAnswer} */
export async function answer(sent: SentTask<SentRequest>): Promise<object> {
  const { method, url, headers, body, told: now } = taken(sent);
  told = now;
  syncWriteCount(now.writes);
  catalogues.syncWriteCount(now.forgotten);
  const response = await app.fetch(new Request(url, { method, headers, ...(body ? { body } : {}) }));
  const bytes = new Uint8Array(await response.arrayBuffer());
  return handedOver({ status: response.status, headers: [...response.headers], body: bytes }, bytes);
}

/** Reads an uploaded catalogue. @returns a {@link TaskOutcome} */
export function catalogue(task: SentTask<SentCatalogue>): Promise<object> {
  const { sent, known } = taken(task);
  return outcomeOf(() => readers.catalogue(sent, known));
}

/** Reads an uploaded shop. @returns a {@link TaskOutcome} */
export const shop = (task: SentTask<Sent>): Promise<object> => outcomeOf(() => readers.shop(taken(task)));

/** Sanitizes an uploaded picture. @returns a {@link TaskOutcome} */
export const picture = (task: SentTask<Sent>): Promise<object> => outcomeOf(() => readers.picture(taken(task)));

/** Errors lose their class between threads, so they are sent as data. */
async function outcomeOf(read: () => Promise<UploadedCatalogue | UploadedShop | KeptPicture>): Promise<object> {
  try {
    const value = await read();
    return handedOver({ value }, "catalogue" in value ? value.catalogue.bytes : value.bytes);
  } catch (error) {
    const { status, message, detail } = asFault(error as Error);
    return { fault: { status, message, detail } } satisfies TaskOutcome<object>;
  }
}
