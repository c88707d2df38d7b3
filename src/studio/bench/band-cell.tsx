import type { ReactNode } from "react";
import type { Band } from "../../core/panel/bands.ts";

interface Props {
  /** From the popover that the cell opens. */
  props: Record<string, unknown>;
  open: boolean;
  /** The band has a setting of its own; otherwise it follows the wider one. */
  own: boolean;
  band: Band;
  label: string;
  children: ReactNode;
}

/** A cell of the lattice: a picture where the band has its own setting, a quiet mark where it follows. */
export function BandCell({ props, open, own, band, label, children }: Props) {
  const ring = open ? "ring-2 ring-accent border-accent" : "";
  if (!own) {
    return (
      <button
        type="button"
        {...props}
        aria-label={label}
        title={label}
        className={`h-10 rounded-lg border border-transparent grid place-items-center hover:border-hair hover:bg-white ${ring}`}
      >
        <svg width="10" height="9" viewBox="0 0 10 9" aria-hidden="true">
          <path d="M3.5 1L2.5 8M8 1L7 8" stroke="#8d7a95" strokeWidth="1.8" strokeLinecap="round" />
        </svg>
      </button>
    );
  }
  return (
    <button
      type="button"
      {...props}
      aria-label={label}
      title={label}
      className={`relative grid h-10 place-items-center overflow-hidden rounded-lg border border-hair bg-white hover:border-secondary ${ring}`}
    >
      {children}
      {band === "wide" ? null : (
        <span className="absolute end-0 top-0 border-8 border-b-transparent border-e-accent border-s-transparent border-t-accent" aria-hidden />
      )}
    </button>
  );
}
