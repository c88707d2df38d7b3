import { expose } from "comlink";
import type { Mend } from "../../core/catalogue/mend/mend-schema.ts";
import type { PagesDocument } from "../../core/page/pages-schema.ts";
import { Desk, type Overview } from "./desk.ts";

/** A desk that fetches its catalogue. */
class FetchingDesk extends Desk {
  /** Fetches and opens a catalogue. @throws Error with the reason */
  async fetch(address: string, mends: readonly Mend[], collections: PagesDocument["collections"]): Promise<Overview> {
    const response = await fetch(address);
    if (!response.ok)
      throw new Error(
        (await response.json().catch(() => ({}))).error ?? `The catalogue could not be fetched (${response.status}).`,
      );
    return this.open(new Uint8Array(await response.arrayBuffer()), mends, collections);
  }
}
export type DeskService = FetchingDesk;

expose(new FetchingDesk());
