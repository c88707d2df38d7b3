import { type Problem, problemText } from "../../core/catalogue/problem.ts";

/** What is wrong in the file, row by row. The rest of it can be taken all the same. */
export function ProblemList({ problems, count }: { problems: readonly Problem[]; count: number }) {
  if (count === 0) return <p className="text-[13px] text-success">Every row can be taken as it is.</p>;
  return (
    <section aria-label="Problems" className="rounded-lg border border-hair bg-base-100">
      <h2 className="border-b border-hair px-3 py-2 text-[15px]">
        {count.toLocaleString("en")} {count === 1 ? "problem" : "problems"}
      </h2>
      <ul className="max-h-72 divide-y divide-hair overflow-auto text-[13px]">
        {problems.map((problem, at) => (
          <li key={at} className="px-3 py-1.5">
            {problemText(problem)}
          </li>
        ))}
        {count > problems.length ? (
          <li className="px-3 py-1.5 text-quiet">and {(count - problems.length).toLocaleString("en")} more like these</li>
        ) : null}
      </ul>
    </section>
  );
}
