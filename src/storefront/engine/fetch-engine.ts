import { decodeCatalogue } from "../../core/catalogue/binary.ts";
import { CatalogueIndex } from "../../core/index/catalogue-index.ts";
import { LocalEngine } from "../../core/match/local-engine.ts";

/** Fetches a catalogue in binary form and makes it ready for counting. @throws Error, BinaryError */
export async function openLocalEngine(address: string): Promise<LocalEngine> {
  const response = await fetch(address);
  if (!response.ok) throw new Error(`The catalogue could not be fetched (${response.status}).`);
  return new LocalEngine(new CatalogueIndex(decodeCatalogue(new Uint8Array(await response.arrayBuffer()))));
}
