import { existsSync } from "node:fs";
import { availableParallelism } from "node:os";
import { join } from "node:path";
import { Piscina } from "piscina";
import type { Field } from "../../core/catalogue/field.ts";
import { limits } from "../../core/sanitize/limits.ts";
import { HttpError } from "../http-error.ts";
import type { Sent } from "../routes/request.ts";
import type { KeptPicture } from "../store/picture-of.ts";
import type { Readers, UploadedCatalogue, UploadedShop } from "../uploads.ts";
import { runTask } from "./run-task.ts";
import type { SentAnswer, SentCatalogue, SentRequest, TaskOutcome, ThreadMessage, ThreadSetting } from "./wire.ts";

/** Maximum number of threads for shoppers: more than processors would only wait for one another. */
const most = 4;
/**
 * The thread for long work starts with the first such task, or this many ms after the others, which are needed sooner.
 */
const later = 5000;

/**
 * Threads for work longer than a moment, so that nobody waits for another's: one per processor for shoppers and short
 * requests, and one more for long work.
 */
export class Threads implements Readers {
  #quick: Piscina;
  #long: Piscina | undefined;
  #open: (threads: number) => Piscina;
  #timer: NodeJS.Timeout;

  constructor(setting: ThreadSetting) {
    const own = { ...entryOf(setting), workerData: setting };
    this.#open = (threads) => {
      const pool = new Piscina({ ...own, minThreads: threads, maxThreads: threads });
      // A thread that ends loses only its own task: another one replaces it.
      pool.on("error", (error: unknown) => console.error(error));
      return pool;
    };
    this.#quick = this.#open(Math.min(most, availableParallelism()));
    this.#timer = setTimeout(() => this.#forLong(), later).unref();
  }

  #forLong(): Piscina {
    this.#long ??= this.#open(1);
    return this.#long;
  }

  /**
   * A request answered by a thread.
   * @param long whether it may take a second or more
   * @param plain whether its text is wanted uncompressed
   * @param shared whether others may wait for the same response, so that it is completed even if this client
   * disconnects
   * @throws HttpError with 503 if it takes too long
   */
  async answer(
    request: Request,
    told: ThreadMessage,
    { long = false, plain = false, shared = false } = {},
  ): Promise<Response> {
    const { method, url } = request;
    const headers = [...request.headers].filter(([name]) => !plain || name !== "accept-encoding");
    const sent: SentRequest = { method, url, headers, told };
    if (request.body) sent.body = new Uint8Array(await request.arrayBuffer());
    const answer: SentAnswer = await runTask(long ? this.#forLong() : this.#quick, sent, {
      name: "answer",
      deadline: long ? limits.longWork : limits.quickWork,
      client: shared ? undefined : request.signal,
    });
    const { status } = answer;
    return new Response(bodiless.has(status) ? null : answer.body, { status, headers: answer.headers });
  }

  async catalogue(sent: Sent, known?: readonly Field[]): Promise<UploadedCatalogue> {
    const task: SentCatalogue = { sent, known };
    const given = { name: "catalogue", deadline: limits.longWork, ...handingOver(sent) };
    return readIn<UploadedCatalogue>(await runTask(this.#forLong(), task, given));
  }

  async shop(sent: Sent): Promise<UploadedShop> {
    const given = { name: "shop", deadline: limits.longWork, ...handingOver(sent) };
    return readIn<UploadedShop>(await runTask(this.#forLong(), sent, given));
  }

  async picture(sent: Sent): Promise<KeptPicture> {
    const given = { name: "picture", deadline: limits.quickWork, ...handingOver(sent) };
    return readIn<KeptPicture>(await runTask(this.#quick, sent, given));
  }

  /** Ends all threads, without waiting for work under way. */
  async close(): Promise<void> {
    clearTimeout(this.#timer);
    await Promise.all([this.#quick.destroy(), this.#long?.destroy()]);
  }
}

/** The built thread first responds after 1.8 s, its sources after 6.4 s, on two processors. */
function entryOf({ root, development }: ThreadSetting) {
  const built = join(root, "dist/server/thread.js");
  return !development && existsSync(built)
    ? { filename: built, execArgv: [] }
    : { filename: join(root, "src/server/threads/start.mjs") };
}

const handingOver = ({ body }: Sent) => ({ transferList: [body.buffer] });

/** @throws HttpError as reported by the thread */
function readIn<T>(outcome: TaskOutcome<T>): T {
  if ("value" in outcome) return outcome.value;
  const { status, message, detail } = outcome.fault;
  throw new HttpError(status, message, detail);
}

/** Statuses of answers without a body. Source: the Fetch standard, null body status. */
const bodiless: ReadonlySet<number> = new Set([101, 103, 204, 205, 304]);
