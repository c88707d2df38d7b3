import { countAt, prefixSums } from "../../catalogue/numbers/tally.ts";
import { type Postings, postingsOf } from "./postings.ts";

type Codes = Uint16Array | Uint32Array;

/**
 * Record → options, as one list of options per place: `places[0][r]` is the first option of record `r`, `places[1][r]`
 * its second, and the number of options stands for none, so that counting has no branch. If a few records state many
 * options, the lists would be nearly empty: then record `r` states `codes[starts[r]]` up to `codes[starts[r + 1]]`.
 */
export type Forward = { places: Codes[] } | { codes: Codes; starts: Uint32Array };

/** Maximum entries of the lists, compared with the values that records have. */
const maxEmpty = 4;

/** The indices of the options that a record states. @param options their number */
export function optionsOfRecord(forward: Forward, record: number, options: number): number[] {
  const own =
    "places" in forward
      ? forward.places.map((codes) => codes[record] ?? options)
      : [...forward.codes.subarray(forward.starts[record], forward.starts[record + 1])];
  return own.filter((option) => option < options);
}

/** Inverts option → records. @param records their number */
export function forwardOf(postings: Postings, options: number, records: number): Forward {
  const make = (length: number): Codes => (options < 0xffff ? new Uint16Array(length) : new Uint32Array(length));
  const all = postings.records.length;
  const starts = new Uint32Array(records + 1);
  for (let i = 0; i < all; i++) countAt(starts, (postings.records[i] ?? 0) + 1);
  const most = starts.reduce((max, uses) => Math.max(max, uses), 1);
  if (most === 1 || most * records <= maxEmpty * all) {
    const places = Array.from({ length: most }, () => make(records).fill(options));
    const used = new Uint8Array(records);
    each(postings, options, (option, record) => {
      const place = places[used[record] ?? 0];
      if (place) place[record] = option;
      used[record] = (used[record] ?? 0) + 1;
    });
    return { places };
  }
  prefixSums(starts);
  const codes = make(all);
  const next = starts.slice(0, records);
  each(postings, options, (option, record) => {
    codes[next[record] ?? 0] = option;
    countAt(next, record);
  });
  return { codes, starts };
}

function each(postings: Postings, options: number, visit: (option: number, record: number) => void): void {
  for (let option = 0; option < options; option++) {
    const list = postingsOf(postings, option);
    for (let i = 0; i < list.length; i++) visit(option, list[i] ?? 0);
  }
}
