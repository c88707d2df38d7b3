import { X } from "lucide-react";
import { createStore, useStore } from "zustand";

/** The hints of a first visit, in the order of the work. */
const hints = {
  cell: "Select a cell to choose how a filter is shown at that width.",
  page: "Choose on the live page as a shopper would: counts follow at both widths.",
  publish: "When you are done, publish under Editions: shoppers see editions, never the draft.",
} as const;
export type HintName = keyof typeof hints;

const key = "trellis-hints-seen";

/** Hints that were used or closed, kept in this browser; none are shown where nothing can be kept. */
const seen = createStore<ReadonlySet<string>>(() => {
  try {
    localStorage.setItem(`${key}-test`, "");
    localStorage.removeItem(`${key}-test`);
    return new Set((localStorage.getItem(key) ?? "").split(" "));
  } catch {
    return new Set(Object.keys(hints));
  }
});

/** Takes a hint away for good, because it was used or closed. */
export function hintUsed(name: HintName): void {
  if (seen.getState().has(name)) return;
  const next = new Set([...seen.getState(), name]);
  localStorage.setItem(key, [...next].join(" ").trim());
  seen.setState(next, true);
}

const order = Object.keys(hints);

/** A hint of the first visit, where it applies, until it is used or closed; one at a time. */
export function FirstHint({ name, className = "" }: { name: HintName; className?: string }) {
  const isNext = useStore(seen, (all) => order.find((one) => !all.has(one)) === name);
  if (!isNext) return null;
  return (
    <p
      role="note"
      className={`flex items-center gap-2 rounded-lg bg-accent/15 px-3 py-1.5 text-[13px] text-base-content ${className}`}
    >
      <span className="flex-1">{hints[name]}</span>
      <button
        type="button"
        className="grid size-6 flex-none place-items-center rounded-md hover:bg-accent/25"
        aria-label="Close this hint"
        onClick={() => hintUsed(name)}
      >
        <X size={14} aria-hidden />
      </button>
    </p>
  );
}
