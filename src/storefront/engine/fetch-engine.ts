import { decodeCatalogue } from "../../core/catalogue/binary.ts";
import type { LocalEngine } from "../../core/engine/local-engine.ts";
import type { Question } from "../../core/engine/question.ts";
import { readyEngine, yieldToPage } from "./ready-engine.ts";

/**
 * Fetches a catalogue in binary form and prepares it for counting in small steps.
 * @param first a question to warm up with, so that the next one like it is answered at once
 * @throws Error, BinaryError
 */
export async function openLocalEngine(address: string, first?: Question): Promise<LocalEngine> {
  const response = await fetch(address, { priority: "low" });
  if (!response.ok) throw new Error(`The catalogue could not be fetched (${response.status}).`);
  const bytes = new Uint8Array(await response.arrayBuffer());
  await yieldToPage();
  return readyEngine(decodeCatalogue(bytes), first);
}
