import { useState } from "react";
import type { VisitColumns } from "../../core/rehearsal/visits.ts";
import { Fault } from "../shell/alert.tsx";
import type { VisitsRead } from "./rehearsal.worker.ts";

interface Props {
  read(text: string, columns?: VisitColumns): Promise<VisitsRead>;
  /** Weighs products by these counts. */
  use(counts: ReadonlyMap<string, number>): void;
  /** Applies these shares of shoppers who know a field. */
  know(shares: Readonly<Record<string, number>>): void;
}

/** A list of products that real visitors looked at, counted by product; nothing else of it is kept. */
export function VisitsCard({ read, use, know }: Props) {
  const [text, setText] = useState<string>();
  const [found, setFound] = useState<VisitsRead>();
  const [trouble, setTrouble] = useState<string>();
  const take = async (given: string, columns?: VisitColumns) => {
    setTrouble(undefined);
    try {
      const one = await read(given, columns);
      setFound(one);
      if (one.choices) know(one.choices.knows);
      else use(one.visits.counts);
    } catch (error) {
      setTrouble((error as Error).message);
    }
  };
  return (
    <div className="flex flex-col gap-2 text-[13px]">
      <label className="flex flex-col gap-1 text-quiet">
        Visits or choices as CSV: one row each, or with a count
        <input
          type="file"
          accept=".csv,.tsv,.txt"
          className="file-input file-input-sm w-full"
          onChange={async ({ target: { files } }) => {
            const given = await files?.[0]?.text();
            setText(given);
            if (given !== undefined) await take(given);
          }}
        />
      </label>
      <Fault text={trouble} />
      {found?.choices ? (
        <p role="status">
          {found.choices.used.toLocaleString("en")} choices in {Object.keys(found.choices.knows).length} fields say what
          shoppers know.{unusedWords(found.choices)}
        </p>
      ) : null}
      {found && !found.choices && text !== undefined ? (
        <>
          <label className="flex items-center gap-2 text-quiet">
            Products are in
            <select
              className="select select-xs flex-1 text-base-content"
              value={found.columns.product}
              onChange={(event) => void take(text, { ...found.columns, product: Number(event.target.value) })}
            >
              {found.header.map((name, at) => (
                <option key={at} value={at}>
                  {name || `Column ${at + 1}`}
                </option>
              ))}
            </select>
          </label>
          <p role="status">
            {found.visits.used.toLocaleString("en")} rows name {found.visits.counts.size.toLocaleString("en")} products.
            {unusedWords(found.visits)}
          </p>
        </>
      ) : null}
    </div>
  );
}

const unusedWords = ({ unknown, examples }: { unknown: number; examples: readonly string[] }): string =>
  unknown > 0 ? ` ${unknown.toLocaleString("en")} rows could not be used, such as “${examples.join("”, “")}”.` : "";
