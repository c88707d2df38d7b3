interface Props {
  told: number;
  again: number;
  /** How the number was checked, for example “Counted again from the rows of the catalogue”. */
  done: string;
  /** Source of the second number, for example “the rows of the catalogue give”. */
  gives: string;
  /** Name of the counted things, in the plural; empty for a measure. */
  what: string;
}

/** Measures that differ by less count as equal, since the interface rounds them to one decimal. */
const measuredAlike = 0.05;

/** Compares a number with its check, and raises an alarm when they differ. */
export function CountedAgain({ told, again, done, gives, what }: Props) {
  const isMeasure = what === "";
  const [mine, theirs] = [again, told].map((number) =>
    number.toLocaleString("en", isMeasure ? { minimumFractionDigits: 1, maximumFractionDigits: 1 } : {}),
  );
  if (isMeasure ? Math.abs(told - again) < measuredAlike : told === again)
    return (
      <p role="status" className="text-[13px] text-success">
        {done}: {mine}
        {isMeasure ? "" : ` ${what}`}, the same.
      </p>
    );
  return (
    <div role="alert" className="rounded-lg border-2 border-error bg-error/10 p-3">
      <b className="text-error">This number is wrong.</b> The tool says {theirs}, {gives} {mine}. The list below is from
      there. Please reload the page; if it stays so, tell us which shop and panel this is.
    </div>
  );
}
