import type { Catalogue } from "../../core/catalogue/catalogue.ts";
import type { LocalEngine } from "../../core/engine/local-engine.ts";
import type { Question } from "../../core/engine/question.ts";
import type { Counting } from "./counting.ts";
import { HandoffFault } from "./faults.ts";
import { type CountingFile, fetchCounting } from "./fetch-counting.ts";
import { loadScript } from "./load-script.ts";
import {
  drawnFrom,
  type HandoffManifest,
  handoffFormat,
  type LoadedRole,
  manifestName,
  type PieceList,
  type ShopFile,
} from "./wire.ts";

let countingFile: CountingFile | undefined;
/** Tells which script counts. */
export const putCountingFile = (file: CountingFile): void => {
  countingFile = file;
};

const opened = new Map<string, HandoffFiles>();

/** The files of one handoff, each fetched once. */
export class HandoffFiles {
  readonly at: URL;
  #manifest: Promise<HandoffManifest> | undefined;
  #parts = new Map<LoadedRole, Promise<unknown>>();

  private constructor(at: URL) {
    this.at = at;
  }

  /** The files at an address given by a page. */
  static at(place: string): HandoffFiles {
    const at = new URL(place, document.baseURI);
    const files = opened.get(at.href) ?? new HandoffFiles(at);
    opened.set(at.href, files);
    return files;
  }

  /** @throws HandoffFault */
  shop(): Promise<ShopFile> {
    return this.#part("shop", async (response) => {
      const shop: ShopFile = await response.json();
      if (shop.format !== handoffFormat) throw new Error(otherVersion(shop.format));
      return shop;
    });
  }

  /** The pieces of markup by page. @throws HandoffFault */
  pieces(): Promise<PieceList> {
    return this.#part("pieces", (response) => response.json());
  }

  /** A piece of markup. @param name with a hash of its content as query @throws HandoffFault */
  markup(name: string): Promise<string> {
    return this.#fetch("pieces", name, (response) => response.text());
  }

  /** Runs the script that tells visits, or the one that checks the page, once. @throws HandoffFault */
  run(role: "visits" | "check"): Promise<void> {
    return this.#once(role, async () => {
      const { files, integrity } = await this.#manifestNow();
      try {
        await loadScript(new URL(files[role], this.at).href, integrity[role]);
      } catch (error) {
        throw this.#fault(role, files[role], error);
      }
    });
  }

  /** Identifies the files that current markup is drawn from. @throws HandoffFault */
  async drawn(): Promise<string> {
    return drawnFrom(await this.#current());
  }

  /** Starts fetching what the engine needs, in parallel to what panels need. */
  prepare(cards: boolean): void {
    // Callers that need the engine get the error themselves.
    this.#catalogue(cards).catch(() => {});
  }

  /**
   * An engine, warmed up for a question like the given one; with `cards` it includes card data.
   * @throws HandoffFault
   */
  async engine(cards: boolean, first: Question): Promise<LocalEngine> {
    const [catalogue, { readyEngine }] = await Promise.all([this.#catalogue(cards), this.#counts()]);
    return readyEngine(catalogue, first);
  }

  /** The catalogue to count; with `cards` also their data. */
  async #catalogue(cards: boolean): Promise<Catalogue> {
    const counts = this.#counts();
    const read = (role: "catalogue" | "cards") =>
      this.#part(role, async (response) => {
        const bytes = await response.arrayBuffer();
        return (await counts).read(bytes);
      });
    const [counted, shown] = await Promise.all([read("catalogue"), cards ? read("cards") : undefined]);
    if (!shown) return counted;
    const both = (await counts).joined(counted, shown);
    if (!both)
      throw new HandoffFault(
        "cards",
        "The two parts of the catalogue come from different handoffs. Copy the whole folder again.",
        this.at.href,
      );
    return both;
  }

  /** The engine's script. @throws HandoffFault */
  #counts(): Promise<Counting> {
    return this.#once("engine", async () => {
      if (!countingFile)
        throw new HandoffFault("engine", "The script has no engine in it. Put the whole file on the site again.");
      try {
        return await fetchCounting(countingFile, this.at);
      } catch (error) {
        throw this.#fault("engine", countingFile.name, error);
      }
    });
  }

  /** @throws HandoffFault */
  #manifestNow(): Promise<HandoffManifest> {
    this.#manifest ??= this.#fetch("manifest", manifestName, (response) => readManifest(response, this.at));
    return this.#manifest;
  }

  /** The names of the current files. @throws HandoffFault */
  async #current(): Promise<HandoffManifest["files"]> {
    return (await this.#manifestNow()).files;
  }

  /**
   * Reads a file listed in the manifest. After a failure the manifest is fetched again, since it may list another
   * file.
   */
  #part<T>(role: LoadedRole, read: (response: Response) => Promise<T>): Promise<T> {
    return this.#once(role, async () => {
      try {
        const files = await this.#current();
        return await this.#fetch(role, files[role], read);
      } catch (error) {
        this.#manifest = undefined;
        throw error;
      }
    });
  }

  /** Fetches something once; after a failure the next caller tries again. */
  #once<T>(role: LoadedRole, get: () => Promise<T>): Promise<T> {
    const known = this.#parts.get(role) as Promise<T> | undefined;
    if (known) return known;
    const part = get();
    this.#parts.set(role, part);
    part.catch(() => this.#parts.delete(role));
    return part;
  }

  async #fetch<T>(of: LoadedRole | "manifest", name: string, read: (response: Response) => Promise<T>): Promise<T> {
    // Panels need the shop's data before the catalogue.
    const priority = of === "catalogue" || of === "cards" ? "low" : "auto";
    try {
      const response = await fetch(new URL(name, this.at), { priority });
      if (!response.ok) throw new Error(`It answered ${response.status}.`);
      return await read(response);
    } catch (error) {
      throw this.#fault(of, name, error);
    }
  }

  #fault(of: LoadedRole | "manifest", name: string, error: unknown): HandoffFault {
    if (error instanceof HandoffFault) return error;
    return new HandoffFault(of, `${name} could not be read: ${(error as Error).message}`, new URL(name, this.at).href);
  }
}

/** The manifest of a handoff. It may list only files below its own place: the page alone decides which host to use. */
async function readManifest(response: Response, at: URL): Promise<HandoffManifest> {
  const manifest: HandoffManifest = await response.json();
  if (manifest.format !== handoffFormat) throw new Error(otherVersion(manifest.format));
  const place = new URL(".", at).href;
  const outside = Object.values(manifest.files).find((name) => !new URL(name, at).href.startsWith(place));
  if (outside !== undefined)
    throw new Error(
      `It refers to “${String(outside).slice(0, 200)}”, which is not below ${place}. Put the handoff’s own files there.`,
    );
  return manifest;
}

const otherVersion = (format: unknown): string =>
  `Its format is ${String(format)}, but this script reads ${handoffFormat}. Put the current tags into the page.`;
