import { decodeCatalogue } from "../../core/catalogue/binary.ts";
import type { Catalogue } from "../../core/catalogue/catalogue.ts";
import { completeCatalogue } from "../../core/catalogue/complete.ts";
import { HandoffFault } from "./faults.ts";
import { drawnFrom, type FileRole, handoffFormat, type Manifest, manifestName, type ShopFile } from "./wire.ts";

const opened = new Map<string, HandoffFiles>();

/** The files of one handoff, each fetched once. */
export class HandoffFiles {
  readonly at: URL;
  #manifest: Promise<Manifest> | undefined;
  #parts = new Map<FileRole, Promise<unknown>>();

  private constructor(at: URL) {
    this.at = at;
  }

  /** Those at a place, as a page names it. */
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

  /** What markup that is drawn now would be drawn from. @throws HandoffFault */
  async drawn(): Promise<string> {
    return drawnFrom(await this.#current());
  }

  /** What is counted; with cards also what they show. @throws HandoffFault */
  async catalogue(cards: boolean): Promise<Catalogue> {
    const read = (role: FileRole) =>
      this.#part(role, async (response) => decodeCatalogue(new Uint8Array(await response.arrayBuffer())));
    const [counted, shown] = await Promise.all([read("catalogue"), cards ? read("cards") : undefined]);
    if (!shown) return counted;
    if (shown.productIds.join("\n") !== counted.productIds.join("\n"))
      throw new HandoffFault("cards", "The two parts of the catalogue are of different handoffs.", this.at.href);
    return completeCatalogue({
      ...counted,
      fields: [...counted.fields, ...shown.fields],
      columns: new Map([...counted.columns, ...shown.columns]),
    });
  }

  /** The names of the current files. @throws HandoffFault */
  async #current(): Promise<Manifest["files"]> {
    this.#manifest ??= this.#fetch("manifest", manifestName, readManifest);
    return (await this.#manifest).files;
  }

  /** Reads a file once; after a failure it is tried again by who asks next. */
  async #part<T>(role: FileRole, read: (response: Response) => Promise<T>): Promise<T> {
    const known = this.#parts.get(role) as Promise<T> | undefined;
    if (known) return known;
    const part = (async () => {
      const files = await this.#current();
      return this.#fetch(role, files[role], read);
    })();
    this.#parts.set(role, part);
    part.catch(() => {
      this.#parts.delete(role);
      this.#manifest = undefined;
    });
    return part;
  }

  async #fetch<T>(of: FileRole | "manifest", name: string, read: (response: Response) => Promise<T>): Promise<T> {
    const { href } = new URL(name, this.at);
    try {
      const response = await fetch(href);
      if (!response.ok) throw new Error(`It answered ${response.status}.`);
      return await read(response);
    } catch (error) {
      throw new HandoffFault(of, `${name} could not be read: ${(error as Error).message}`, href);
    }
  }
}

async function readManifest(response: Response): Promise<Manifest> {
  const manifest: Manifest = await response.json();
  if (manifest.format !== handoffFormat) throw new Error(otherVersion(manifest.format));
  return manifest;
}

const otherVersion = (format: unknown): string =>
  `It is of version ${String(format)} and this script reads ${handoffFormat}. Put the current tags into the page.`;
