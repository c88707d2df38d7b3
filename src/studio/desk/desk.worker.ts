import { expose } from "comlink";
import type { Mend } from "../../core/catalogue/mend/mend-schema.ts";
import type { PagesDocument } from "../../core/page/pages-schema.ts";
import { Desk, type Overview } from "./desk.ts";

/** The bytes at an address. @throws Error with the reason */
async function bytesAt(address: string): Promise<Uint8Array> {
  const response = await fetch(address);
  if (!response.ok)
    throw new Error(
      (await response.json().catch(() => ({}))).error ?? `The catalogue could not be fetched (${response.status}).`,
    );
  return new Uint8Array(await response.arrayBuffer());
}

/** A desk that fetches its catalogue. */
class FetchingDesk extends Desk {
  /** The catalogue that is being fetched ahead. */
  #ahead: Promise<Uint8Array> | undefined;

  /** Starts to fetch the catalogue that {@link fetch} will open. */
  prefetch(address: string): void {
    this.#ahead = bytesAt(address);
    // Opening it reports the failure.
    this.#ahead.catch(() => undefined);
  }

  /** Fetches and opens a catalogue. @throws Error with the reason */
  async fetch(address: string, mends: readonly Mend[], collections: PagesDocument["collections"]): Promise<Overview> {
    const ahead = this.#ahead;
    this.#ahead = undefined;
    return this.open(await (ahead ?? bytesAt(address)), mends, collections);
  }
}
export type DeskService = FetchingDesk;

const desk = new FetchingDesk();
expose(desk);
// The page asks for its catalogue before it has loaded what calls the desk.
addEventListener("message", ({ data }: MessageEvent<{ prefetch?: string }>) => {
  if (typeof data.prefetch === "string") desk.prefetch(data.prefetch);
});
