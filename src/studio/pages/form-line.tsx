import type { ReactNode } from "react";

interface Props {
  label: string;
  /** It has its own setting, which can be reset. */
  own: boolean;
  reset(): void;
  children: ReactNode;
}

/** A line of a layout's form: label, control, and a reset button if it is set. */
export function FormLine({ label, own, reset, children }: Props) {
  return (
    <div className="grid grid-cols-[92px_minmax(0,1fr)_20px] items-center gap-2 text-[13px]">
      <span className={own ? "font-medium" : "text-quiet"}>{label}</span>
      <span className="flex min-w-0 items-center gap-1.5">{children}</span>
      {own ? <ResetButton label={label} run={reset} /> : <span />}
    </div>
  );
}

/** Makes a setting inherited again. */
export const ResetButton = ({ label, run }: { label: string; run(): void }) => (
  <button
    type="button"
    className="grid size-5 place-items-center rounded-full text-[13px] text-quiet hover:bg-sand"
    aria-label={`Reset ${label.toLowerCase()}`}
    title="Changed here. Click to reset."
    onClick={run}
  >
    ↺
  </button>
);

/** A part of a form, with its heading. */
export function FormPart({ title, own, reset, children }: Omit<Props, "label"> & { title: string }) {
  return (
    <section className="flex flex-col gap-2">
      <h3 className="flex items-center justify-between text-[14px]">
        {title}
        {own ? <ResetButton label={title} run={reset} /> : null}
      </h3>
      {children}
    </section>
  );
}
