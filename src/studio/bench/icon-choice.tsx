import { createElement, useId } from "react";
import { buttonIcons as names } from "../../core/settings/behaviour.ts";
import { buttonIconPaths } from "../../storefront/panel/button-icons.ts";

type Name = (typeof names)[number];

/** The icon of a panel's button: from a set, the designer's own picture, or none. */
export function IconChoice({ label, value, set }: { label: string; value: Name; set(name: Name): void }) {
  const group = useId();
  return (
    <div role="radiogroup" aria-label={label} className="flex flex-wrap gap-1">
      {names.map((name) => (
        <label
          key={name}
          title={name}
          className={`relative grid h-7 min-w-7 cursor-pointer place-items-center rounded-md border px-1 text-[13px] has-focus-visible:outline-2 ${name === value ? "border-primary bg-primary text-primary-content" : "border-hair bg-base-100 hover:bg-sand"}`}
        >
          <input
            type="radio"
            className="sr-only"
            name={group}
            aria-label={name}
            checked={name === value}
            onChange={() => set(name)}
          />
          {name === "none" || name === "own" ? (
            name
          ) : (
            <svg width="15" height="15" viewBox="0 0 24 24" aria-hidden="true">
              <g fill="none" stroke="currentColor" strokeWidth="2" strokeLinecap="round" strokeLinejoin="round">
                {buttonIconPaths[name].map(([tag, shape], at) => createElement(tag, { key: at, ...shape }))}
              </g>
            </svg>
          )}
        </label>
      ))}
    </div>
  );
}
