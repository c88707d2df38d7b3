/** A setting of a piece: its label and its control. */
export function PieceLine({ label, children }: { label: string; children: React.ReactNode }) {
  return (
    <div className="flex items-center gap-2">
      <span className="w-26 flex-none text-[13px] text-quiet">{label}</span>
      {children}
    </div>
  );
}
