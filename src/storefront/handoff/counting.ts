import { decodeCatalogue } from "../../core/catalogue/binary.ts";
import type { Catalogue } from "../../core/catalogue/catalogue.ts";
import { completeCatalogue } from "../../core/catalogue/complete.ts";
import { readyEngine } from "../engine/ready-engine.ts";

/** Decodes a catalogue file. @throws BinaryError */
const read = (bytes: ArrayBuffer): Catalogue => decodeCatalogue(new Uint8Array(bytes));

/** The two parts of a catalogue combined; undefined if they come from different handoffs. */
function joined(counted: Catalogue, shown: Catalogue): Catalogue | undefined {
  if (shown.productIds.join("\n") !== counted.productIds.join("\n")) return undefined;
  return completeCatalogue({
    ...counted,
    fields: [...counted.fields, ...shown.fields],
    columns: new Map([...counted.columns, ...shown.columns]),
  });
}

/** The engine, in a separate script: panels respond before it has loaded. */
export const counting = { read, joined, readyEngine };
export type Counting = typeof counting;
