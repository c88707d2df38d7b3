import type { Catalogue } from "../../core/catalogue/catalogue.ts";
import { CatalogueIndex } from "../../core/engine/index/catalogue-index.ts";
import { LocalEngine } from "../../core/engine/local-engine.ts";
import type { Question } from "../../core/engine/question.ts";

/**
 * An engine that counts here, made without holding the page up for long.
 * @param first a question that is answered in vain, so that the next one like it is answered at once
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

/** Lets the page draw and hear before work goes on. */
export const yieldToPage = (): Promise<void> => new Promise((done) => setTimeout(done));
