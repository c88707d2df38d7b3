import type { ReactNode } from "react";
import { type OpenedNumber, openedNumber } from "./opened-number.ts";

/** A number that can be opened: what it counts, its details, and where it can be changed. */
export const Opens = ({
  number,
  className = "",
  children,
}: {
  /** Asked when it is opened. */
  number(): OpenedNumber;
  className?: string;
  children: ReactNode;
}) => (
  <button
    type="button"
    className={`cursor-pointer rounded-sm tabular-nums underline decoration-quiet decoration-dotted underline-offset-4 hover:decoration-solid ${className}`}
    aria-haspopup="dialog"
    onClick={() => openedNumber.setState({ open: number() })}
  >
    {children}
  </button>
);
