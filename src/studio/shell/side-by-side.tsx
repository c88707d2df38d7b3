import { type ReactNode, useState } from "react";

interface Part {
  label: string;
  node: ReactNode;
}

/** Parts of a view side by side; on a small screen one at a time, selected above them. */
export function SideBySide({ parts }: { parts: readonly [Part, Part] }) {
  const [at, setAt] = useState(0);
  return (
    <main className="flex min-h-0 flex-1 max-lg:flex-col">
      <div className="flex flex-none gap-1 border-b border-hair px-3 pt-1.5 lg:hidden" role="group" aria-label="Shown">
        {parts.map(({ label }, place) => (
          <button
            key={label}
            type="button"
            aria-pressed={at === place}
            className={`rounded-t-lg px-3 py-1.5 ${at === place ? "border-b-2 border-accent font-medium" : "text-quiet"}`}
            onClick={() => setAt(place)}
          >
            {label}
          </button>
        ))}
      </div>
      {parts.map(({ label, node }, place) => (
        <div key={label} className={`contents ${at === place ? "" : "max-lg:hidden"}`}>
          {node}
        </div>
      ))}
    </main>
  );
}
