import { ArrowUp } from "lucide-react";
import { useDeferredValue, useState } from "react";
import { countsOf } from "../../core/engine/engine.ts";
import { FindField } from "../controls/find-field.tsx";
import { LineTools } from "../controls/line-tools.tsx";
import { moved, withoutEntry } from "../controls/lists.ts";
import { useAnswer } from "../shell/shop-context.ts";

interface Props {
  /** Ids of the products. */
  picked: readonly string[];
  set(products: string[], words: string): void;
}

/** Products picked by hand: added by search, removed one by one. */
export function HandPicks({ picked, set }: Props) {
  const [asked, setAsked] = useState("");
  const text = useDeferredValue(asked);
  const mine = useAnswer({ ...countsOf([], undefined, [[{ products: [...picked] }]]), size: 500 });
  const found = useAnswer({ ...countsOf([], { text, choices: {} }), size: text.trim() === "" ? 0 : 30 });
  const titles = new Map(mine?.products.map(({ id, title }) => [id, title]));
  const gone = mine ? picked.filter((id) => !titles.has(id)) : [];
  return (
    <div className="grid grid-cols-2 gap-4 text-[13px]">
      <div>
        <p className="mb-1 text-quiet">{picked.length} picked</p>
        <ul aria-label="Picked products" className="max-h-64 overflow-auto rounded-lg border border-hair">
          {picked.map((id, at) => (
            <li key={id} className="flex items-center gap-2 border-b border-hair/60 py-0.5 ps-2.5 last:border-0">
              <span className={`min-w-0 flex-1 truncate ${gone.includes(id) ? "text-error" : ""}`}>
                {titles.get(id) ?? (gone.includes(id) ? `${id} is no longer in the catalogue` : id)}
              </span>
              <LineTools
                name={titles.get(id) ?? id}
                at={at}
                of={picked.length}
                move={(to) => set(moved(picked, at, to), `move ${titles.get(id) ?? id}`)}
                remove={() => set(withoutEntry(picked, at), `remove ${titles.get(id) ?? id}`)}
              />
            </li>
          ))}
        </ul>
      </div>
      <div>
        <FindField label="Find products" value={asked} set={setAsked} className="input-sm mb-1 w-full" />
        <ul aria-label="Found products" className="max-h-64 overflow-auto">
          {(found?.products ?? [])
            .filter(({ id }) => !picked.includes(id))
            .map(({ id, title }) => (
              <li key={id}>
                <button
                  type="button"
                  className="flex w-full items-center gap-2 rounded-lg px-2.5 py-1 text-start hover:bg-sand"
                  aria-label={`Pick ${title}`}
                  onClick={() => set([...picked, id], `pick ${title}`)}
                >
                  <ArrowUp size={13} aria-hidden className="-rotate-90 text-quiet" />
                  <span className="truncate">{title}</span>
                </button>
              </li>
            ))}
        </ul>
      </div>
    </div>
  );
}
