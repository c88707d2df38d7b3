import { type Field, isFacetable } from "../../core/catalogue/field.ts";
import { kindFacts } from "../../core/catalogue/field-kinds.ts";
import type { SwatchLine } from "../../core/swatch/formats.ts";
import { swatchesKind } from "../../core/swatch/kind.ts";
import { linesOfBook } from "../../core/swatch/list.ts";
import { guessByName, type NameGuess } from "../../core/swatch/name-guess.ts";
import { resolveBook, type SwatchBook } from "../../core/swatch/view.ts";
import type { ShopSource } from "./source.ts";

/** Maximum number of values of a field with colours or brands. */
const maxValues = 2000;

/** Resolves a shop's swatch book against its catalogue, and caches guesses from names. */
export class SwatchResolver {
  #fields: { key: string; options: readonly { id: string; label: string }[] }[];
  #guesses = new Map<string, NameGuess | undefined>();
  #last: { version: number; ground: string; resolved: SwatchBook } | undefined;

  constructor(fields: readonly Field[], optionsOf: (key: string) => readonly { id: string; label: string }[]) {
    this.#fields = fields
      .filter((field) => isFacetable(field) && kindFacts(field).words === true && !kindFacts(field).nested)
      .map(({ key }) => ({ key, options: optionsOf(key) }))
      .filter(({ options }) => options.length <= maxValues);
  }

  /**
   * The swatch of each value. Recomputed when the book has a new version.
   * @param ground the panels' background, which decides where outlines are needed
   */
  async resolve(source: ShopSource, ground: string): Promise<SwatchBook> {
    const version = await source.version(swatchesKind);
    if (this.#last?.version !== version || this.#last.ground !== ground) {
      const { document } = (await source.read(swatchesKind)) ?? { document: swatchesKind.fresh("") };
      const resolved = resolveBook(document, this.#fields, (label) => this.#guess(label), ground);
      this.#last = { version, ground, resolved };
    }
    return this.#last.resolved;
  }

  /** Every swatch, given or guessed, as a list that can be imported again. */
  async lines(source: ShopSource): Promise<SwatchLine[]> {
    const book = (await source.read(swatchesKind))?.document ?? swatchesKind.fresh("");
    return linesOfBook(book, this.#fields, (label) => this.#guess(label));
  }

  #guess(label: string): NameGuess | undefined {
    if (!this.#guesses.has(label)) this.#guesses.set(label, guessByName(label));
    return this.#guesses.get(label);
  }
}
