import { listDifferences } from "../../document/differences.ts";
import type { MendDocument } from "./mend-schema.ts";
import { mendWords } from "./mend-words.ts";

/** Lists the changes of the corrections. @param nameOf the label of a field for shoppers */
export function* mendDifferences(
  before: MendDocument,
  after: MendDocument,
  nameOf: (field: string) => string,
): Generator<string> {
  yield* listDifferences(
    before.mends,
    after.mends,
    ({ id }) => id,
    (mend) => mendWords(mend, nameOf(mend.field)),
    (_, mend) => [`${mendWords(mend, nameOf(mend.field))}, changed`],
  );
}
