import { useId } from "react";

export interface ChoiceOption<T extends string> {
  value: T;
  label: string;
  /** The resulting number of products. */
  number?: number;
  /** Why it cannot be chosen. */
  off?: string | undefined;
}

interface Props<T extends string> {
  label: string;
  value: T;
  options: readonly ChoiceOption<T>[];
  set(value: T): void;
}

/** A few choices side by side, as native radio buttons with their keyboard behaviour. */
export function Choice<T extends string>({ label, value, options, set }: Props<T>) {
  const name = useId();
  const reasons = [...new Set(options.flatMap(({ off }) => off ?? []))];
  return (
    <div className="flex min-w-0 flex-1 flex-col gap-1">
      <div
        role="radiogroup"
        aria-label={label}
        className="flex overflow-hidden rounded-lg border border-hair bg-base-100"
      >
        {options.map((option) => (
          <label
            key={option.value}
            className={`flex flex-auto items-center justify-center gap-1.5 border-s border-hair px-2 py-1 text-[13px] first:border-s-0 has-focus-visible:outline-2 has-focus-visible:-outline-offset-2 has-focus-visible:outline-[#b4561b] ${option.value === value ? "bg-primary text-primary-content" : option.off ? "text-base-content/45" : "cursor-pointer hover:bg-sand"}`}
          >
            <input
              type="radio"
              className="sr-only"
              name={name}
              checked={option.value === value}
              disabled={option.off !== undefined}
              onChange={() => set(option.value)}
            />
            {option.label}
            {option.number === undefined ? null : (
              <span className="text-[13px] opacity-75 tabular-nums">{option.number}</span>
            )}
          </label>
        ))}
      </div>
      {reasons.map((reason) => (
        <p key={reason} className="text-[13px] text-quiet">
          {reason}
        </p>
      ))}
    </div>
  );
}
