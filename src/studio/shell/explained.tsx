import type { ReactNode } from "react";

/** A number or a word with a sentence behind it, read on hover and on focus. */
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

/** A sentence behind a control, shown beside it on hover and on focus. Around it, so that it is no part of its name. */
export const Tip = ({ words, children }: { words: string; children: ReactNode }) => (
  <span className="tooltip before:max-w-72 before:whitespace-normal before:text-[13px]" data-tip={words}>
    {children}
  </span>
);
