interface Props {
  /** For assistive technology, and as placeholder without a `hint`. */
  label: string;
  hint?: string;
  value: string;
  set(text: string): void;
  /** Takes what was found best. */
  enter?(): void;
  /** How large and wide it is. */
  className: string;
}

/** A search field that filters while typing. */
export function FindField({ label, hint = label, value, set, enter, className }: Props) {
  return (
    <input
      type="search"
      className={`input ${className}`}
      placeholder={hint}
      aria-label={label}
      value={value}
      onChange={(event) => set(event.target.value)}
      onKeyDown={(event) => {
        if (event.key !== "Enter" || !enter) return;
        event.preventDefault();
        enter();
      }}
    />
  );
}
