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
  for (let record = 0; record < records; record++) {
    forEachOption(record, (option) => {
      if (last[option] === record) return;
      last[option] = record;
      countAt(starts, option + 1);
    });
  }
  prefixSums(starts);
  const ids = new Uint32Array(starts[options] ?? 0);
  const next = starts.slice(0, options);
  last.fill(-1);
  for (let record = 0; record < records; record++) {
    forEachOption(record, (option) => {
      if (last[option] === record) return;
      last[option] = record;
      ids[next[option] ?? 0] = record;
      countAt(next, option);
    });
  }
  return { starts, records: ids };
}
