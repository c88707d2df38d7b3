import { decodeCatalogue } from "../../core/catalogue/binary.ts";
import type { Catalogue } from "../../core/catalogue/catalogue.ts";
import { completeCatalogue } from "../../core/catalogue/complete.ts";
import { readyEngine } from "../engine/ready-engine.ts";

/** A catalogue as its file has it. @throws BinaryError */
const read = (bytes: ArrayBuffer): Catalogue => decodeCatalogue(new Uint8Array(bytes));

/** The two parts of a catalogue as one; undefined if they are of different handoffs. */
function joined(counted: Catalogue, shown: Catalogue): Catalogue | undefined {
  if (shown.productIds.join("\n") !== counted.productIds.join("\n")) return undefined;
  return completeCatalogue({
    ...counted,
    fields: [...counted.fields, ...shown.fields],
    columns: new Map([...counted.columns, ...shown.columns]),
  });
}

/** The engine, in a separate script: panels are ready before it has loaded. */
export const counting = { read, joined, readyEngine };
export type Counting = typeof counting;
