import { useEffect, useRef, useState } from "react";

interface Props {
  value: string;
  /** Shown when the value is empty. */
  fallback?: string;
  label: string;
  save(value: string): void;
}

/** A text that is edited where it stands: Enter or leaving saves, Escape takes it back. */
export function LabelField({ value, fallback = "", label, save }: Props) {
  const [text, setText] = useState(value);
  const input = useRef<HTMLInputElement>(null);
  const dropped = useRef(false);
  useEffect(() => setText(value), [value]);
  return (
    <input
      ref={input}
      type="text"
      aria-label={label}
      value={text}
      placeholder={fallback}
      maxLength={200}
      className="field-sizing-content min-w-8 max-w-44 truncate rounded-md bg-transparent px-1 -mx-1 placeholder:text-base-content placeholder:opacity-100 hover:bg-sand focus:bg-base-100"
      onChange={(event) => setText(event.target.value)}
      onKeyDown={(event) => {
        if (event.key === "Escape") {
          dropped.current = true;
          setText(value);
        }
        if (event.key === "Enter" || event.key === "Escape") input.current?.blur();
      }}
      onBlur={() => {
        if (!dropped.current && text.trim() !== value) save(text);
        dropped.current = false;
      }}
    />
  );
}
