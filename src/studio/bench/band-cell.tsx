import type { ReactNode } from "react";
import type { Band } from "../../core/settings/band.ts";

interface Props {
  /** Props of the popover's trigger. */
  props: Record<string, unknown>;
  open: boolean;
  /** The band has its own setting; otherwise it follows the wider one. */
  own: boolean;
  band: Band;
  label: string;
  children: ReactNode;
}

/** A cell of the lattice: a picture if the band has its own setting, otherwise a subtle mark. */
export function BandCell({ props, open, own, band, label, children }: Props) {
  const edge = own ? "border-hair bg-white" : "border-transparent hover:border-hair hover:bg-white";
  return (
    <div
      className={`band-cell relative grid h-10 place-items-center overflow-hidden rounded-lg border hover:border-secondary ${edge} ${open ? "border-accent ring-2 ring-accent" : ""}`}
    >
      {own ? children : <Ditto />}
      {own && band !== "wide" ? (
        <span
          className="absolute end-0 top-0 border-8 border-b-transparent border-e-accent border-s-transparent border-t-accent"
          aria-hidden
        />
      ) : null}
      {/* Over the picture and not around it: the picture's small print is no part of the button's name. */}
      <button
        type="button"
        {...props}
        aria-label={label}
        title={label}
        className="absolute inset-0 rounded-lg focus-visible:-outline-offset-2"
      />
    </div>
  );
}

/** As on the wider band. */
function Ditto() {
  return (
    <svg width="10" height="9" viewBox="0 0 10 9" aria-hidden="true">
      <path d="M3.5 1L2.5 8M8 1L7 8" stroke="#8d7a95" strokeWidth="1.8" strokeLinecap="round" />
    </svg>
  );
}
