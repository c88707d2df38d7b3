import type { SentHistory } from "../../core/api/shop.ts";
import { ApiError, sendJson } from "../api.ts";

export type SaveState = "saved" | "saving" | "waiting" | "failed" | "conflict";

/** A document to send: the steps from the first that differs from the stored ones. */
export interface Sendable<D> {
  document: D;
  history: SentHistory;
}

/** The state of a saver. */
export interface SaverState<D> {
  saving: SaveState;
  /** Why saving failed, in words. */
  trouble?: string | undefined;
  /** The other tab's version, if both changed the document. */
  other?: { version: number; document: D } | undefined;
}

interface Wiring<D> {
  /** Where it is saved. */
  path: string;
  /** The stored version and document. */
  version: number;
  document: D;
  /** The document as it is now. */
  current(): D;
  /** Takes what is to be sent; its steps count as stored unless restored. */
  take(): Sendable<D> & { restore(): void };
  tell(state: SaverState<D>): void;
}

/** Delay after a change, and after a failure, in ms. */
const pause = 300;
const retry = 3000;

/** Saves one document, one request at a time, over its known version. */
export class Saver<D extends object> {
  readonly #wiring: Wiring<D>;
  #version: number;
  /** The document as stored. */
  #sent: D;
  #timer: ReturnType<typeof setTimeout> | undefined;
  #isBusy = false;
  #isConflict = false;

  constructor(wiring: Wiring<D>) {
    this.#wiring = wiring;
    this.#version = wiring.version;
    this.#sent = wiring.document;
  }

  /** Saves in a moment. */
  later(ms = pause): void {
    if (this.#isConflict) return;
    const isSaved = this.#wiring.current() === this.#sent && !this.#isBusy;
    this.#wiring.tell({ saving: isSaved ? "saved" : "waiting" });
    clearTimeout(this.#timer);
    this.#timer = setTimeout(() => void this.#save(), ms);
  }

  /** Ends a conflict: the other version becomes the known one. @param stored its content, if taken over */
  settle(version: number, stored?: D): void {
    this.#isConflict = false;
    this.#version = version;
    if (stored) this.#sent = stored;
  }

  async #save(): Promise<void> {
    const current = this.#wiring.current();
    if (this.#isBusy || this.#isConflict || current === this.#sent) return;
    this.#isBusy = true;
    this.#wiring.tell({ saving: "saving" });
    const { document, history, restore } = this.#wiring.take();
    let isSaved = false;
    try {
      const body = { version: this.#version, document, history };
      this.#version = (await sendJson<{ version: number }>("PUT", this.#wiring.path, body)).version;
      this.#sent = document;
      isSaved = true;
      this.#wiring.tell({ saving: "saved", trouble: undefined });
    } catch (error) {
      restore();
      this.#failed(error);
    } finally {
      this.#isBusy = false;
      if (isSaved && this.#wiring.current() !== this.#sent) this.later(0);
    }
  }

  #failed(error: unknown): void {
    if (!(error instanceof ApiError)) throw error;
    const { status, detail, message } = error;
    if (status === 409 && detail.version !== undefined && detail.document !== undefined) {
      this.#isConflict = true;
      // The stored document was checked when it was saved, as the same kind.
      const other = { version: detail.version, document: detail.document as D };
      this.#wiring.tell({ saving: "conflict", other });
      return;
    }
    this.#wiring.tell({ saving: "failed", trouble: message });
    // An unreachable server is tried again; a rejected document is only sent again when it changes.
    if (status === 0 || status >= 500) this.#timer = setTimeout(() => void this.#save(), retry);
  }
}
