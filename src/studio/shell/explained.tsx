import type { ReactNode } from "react";

/** A number or word with an explanation on hover and focus. */
export function Explained({ by, children }: { by: string; children: ReactNode }) {
  return (
    <span
      className="tooltip tooltip-bottom cursor-help rounded-sm underline decoration-quiet decoration-dotted underline-offset-4 before:max-w-72 before:whitespace-normal before:text-[13px]"
      data-tip={by}
      // biome-ignore lint/a11y/noNoninteractiveTabindex: what is explained on hover is explained on focus too
      tabIndex={0}
    >
      {children}
    </span>
  );
}

/** A tooltip for a control, on hover and focus. It wraps the control, so that it is not part of its name. */
export const Tip = ({ words, children }: { words: string; children: ReactNode }) => (
  <span className="tooltip before:max-w-72 before:whitespace-normal before:text-[13px]" data-tip={words}>
    {children}
  </span>
);
