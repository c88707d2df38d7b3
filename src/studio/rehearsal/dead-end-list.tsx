import { useMemo } from "react";
import { percent } from "../shell/percent.ts";
import { choiceWords } from "./choice-words.ts";
import type { Run } from "./use-rehearsal.ts";

const most = 30;

/** Places where shoppers knew an answer that was not available, with their previous choices. */
export function DeadEndList({ run: { walks, stage } }: { run: Run }) {
  const ends = useMemo(() => {
    const found = new Map<string, { row: string; kind: string; words: string; times: number }>();
    for (const { deadEnds } of walks) {
      for (const { row, kind, selection } of deadEnds) {
        const words = choiceWords(selection);
        const key = `${row} ${kind} ${words}`;
        const known = found.get(key) ?? { row, kind, words, times: 0 };
        known.times++;
        found.set(key, known);
      }
    }
    return [...found.values()].sort((a, b) => b.times - a.times);
  }, [walks]);
  const titles = new Map((stage?.facets ?? []).map(({ row, title }) => [row, title]));
  if (ends.length === 0)
    return <p className="text-quiet">No shopper has reached a dead end{walks.length === 0 ? " yet" : ""}.</p>;
  return (
    <>
      <table className="table table-sm max-w-4xl">
        <thead>
          <tr>
            <th scope="col">Facet</th>
            <th scope="col">What happened</th>
            <th scope="col">Chosen before</th>
            <th scope="col" className="text-end">
              Times
            </th>
          </tr>
        </thead>
        <tbody>
          {ends.slice(0, most).map(({ row, kind, words, times }) => (
            <tr key={`${row} ${kind} ${words}`}>
              <th scope="row" className="font-medium">
                {titles.get(row) ?? row}
              </th>
              <td>{kind === "missing" ? "The known value is not among its options" : "The option had no products"}</td>
              <td>{words || "Nothing"}</td>
              <td className="text-end tabular-nums">{times}</td>
            </tr>
          ))}
        </tbody>
      </table>
      {ends.length > most ? (
        <p className="mt-2 text-[13px] text-quiet">
          The {most} most frequent of {ends.length} are listed;{" "}
          {percent(walks.filter(({ deadEnds }) => deadEnds.length > 0).length, walks.length)} of shoppers reached one.
        </p>
      ) : null}
    </>
  );
}
