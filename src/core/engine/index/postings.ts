import { countAt, prefixSums } from "../../catalogue/numbers/tally.ts";

/**
 * Option → records, as one posting list after another: option `o` is stated by `records[starts[o]]` up to
 * `records[starts[o + 1]]`, in ascending order, each record once.
 */
export interface Postings {
  starts: Uint32Array;
  records: Uint32Array;
}

/** The records of one option, in ascending order. */
export const postingsOf = ({ starts, records }: Postings, option: number): Uint32Array =>
  records.subarray(starts[option], starts[option + 1]);

/** The products of the variants that state each option, each once. @param productOf variant → product */
export function productPostings({ starts, records }: Postings, productOf: Uint32Array): Postings {
  const products = { starts: new Uint32Array(starts.length), records: new Uint32Array(records.length) };
  let length = 0;
  for (let option = 0; option + 1 < starts.length; option++) {
    let last = -1;
    for (let i = starts[option] ?? 0; i < (starts[option + 1] ?? 0); i++) {
      const product = productOf[records[i] ?? 0] ?? 0;
      if (product !== last) products.records[length++] = product;
      last = product;
    }
    products.starts[option + 1] = length;
  }
  return { ...products, records: products.records.slice(0, length) };
}

/**
 * Inverts record → options.
 * @param options number of options
 * @param records number of records
 * @param forEachOption calls back with every option that a record states; repeats are allowed
 */
export function buildPostings(
  options: number,
  records: number,
  forEachOption: (record: number, visit: (option: number) => void) => void,
): Postings {
  const last = new Int32Array(options).fill(-1);
  const starts = new Uint32Array(options + 1);
  // The options of all records in one list, so that each record is read only once.
  let found = new Uint32Array(Math.max(16, records));
  let length = 0;
  const ends = new Uint32Array(records);
  let record = 0;
  const visit = (option: number) => {
    if (last[option] === record) return;
    last[option] = record;
    countAt(starts, option + 1);
    if (length === found.length) {
      const more = new Uint32Array(2 * length);
      more.set(found);
      found = more;
    }
    found[length++] = option;
  };
  for (; record < records; record++) {
    forEachOption(record, visit);
    ends[record] = length;
  }
  prefixSums(starts);
  const ids = new Uint32Array(length);
  const next = starts.slice(0, options);
  for (let i = 0, at = 0; i < records; i++) {
    for (; at < (ends[i] ?? 0); at++) {
      const option = found[at] ?? 0;
      ids[next[option] ?? 0] = i;
      countAt(next, option);
    }
  }
  return { starts, records: ids };
}
