import type { Catalogue } from "../../core/catalogue/catalogue.ts";
import { CatalogueIndex } from "../../core/engine/index/catalogue-index.ts";
import { LocalEngine } from "../../core/engine/local-engine.ts";
import type { Question } from "../../core/engine/question.ts";

/**
 * An engine in this thread, prepared in small steps.
 * @param first a question to warm up with, so that the next one like it is answered at once
 */
export async function readyEngine(catalogue: Catalogue, first?: Question): Promise<LocalEngine> {
  await yieldToPage();
  const engine = new LocalEngine(new CatalogueIndex(catalogue));
  if (!first) return engine;
  for (const facet of first.facets) {
    await yieldToPage();
    engine.answer({ ...first, facets: [facet], size: 0, mends: false });
  }
  await yieldToPage();
  engine.answer(first);
  return engine;
}

/** Lets the page render and handle input before work continues. */
export const yieldToPage = (): Promise<void> => new Promise((done) => setTimeout(done));
