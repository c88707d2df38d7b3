import { type Column, ColumnBuilder } from "./catalogue.ts";
import { splitCell } from "./values.ts";

/** Collects one column from cells, variant after variant. Most cells repeat, so each text is split only once. */
export class CellColumnBuilder {
  #values = new ColumnBuilder();
  #codesOf = new Map<string, readonly number[]>();
  #whole: boolean;

  /** @param whole whether a cell is one text; else it holds values separated by `|` */
  constructor(whole: boolean) {
    this.#whole = whole;
  }

  /** Adds the next variant with the values of a cell; see {@link splitCell}. */
  add(cell: string): void {
    let codes = this.#codesOf.get(cell);
    if (!codes) {
      codes = splitCell(cell, this.#whole).map((value) => this.#values.codeOf(value));
      this.#codesOf.set(cell, codes);
    }
    this.#values.addCodes(codes);
  }

  build(): Column {
    return this.#values.build();
  }
}
