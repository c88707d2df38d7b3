interface Props {
  told: number;
  counted: number;
  /** What is counted, in the plural. */
  what: string;
}

/** Whether what was told is what the catalogue's rows say. It is loud where it is not. */
export function CountedAgain({ told, counted, what }: Props) {
  const [mine, theirs] = [counted, told].map((count) => count.toLocaleString("en"));
  if (told === counted)
    return (
      <p role="status" className="text-[13px] text-success">
        Counted again from the rows of the catalogue: {mine} {what}, the same.
      </p>
    );
  return (
    <div role="alert" className="rounded-lg border-2 border-error bg-error/10 p-3">
      <b className="text-error">This number is wrong.</b> The tool says {theirs}, the rows of the catalogue give {mine}.
      The list below is from the rows. Please reload the page; if it stays so, tell us which shop and panel this is.
    </div>
  );
}
