import { useRef } from "react";
import { useTypedText } from "./typing.ts";

interface Props {
  value: string;
  /** Shown when the value is empty. */
  fallback?: string;
  label: string;
  save(value: string): void;
  /** Whether it is also saved during pauses in typing; default: yes. */
  whilePaused?: boolean;
}

/** A text edited in place: saved during pauses and on Enter or blur; Escape restores it. */
export function LabelField({ value, fallback = "", label, save, whilePaused = true }: Props) {
  const { text, type, leave, cancel } = useTypedText(value, (typed) => typed.trim() !== value && save(typed), {
    whilePaused,
  });
  const input = useRef<HTMLInputElement>(null);
  return (
    <input
      ref={input}
      type="text"
      aria-label={label}
      value={text}
      placeholder={fallback}
      maxLength={200}
      className="field-sizing-content min-w-8 max-w-44 truncate rounded-md bg-transparent px-1 -mx-1 placeholder:text-base-content placeholder:opacity-100 hover:bg-sand focus:bg-base-100"
      onChange={(event) => type(event.target.value)}
      onKeyDown={(event) => {
        if (event.key === "Escape") cancel();
        if (event.key === "Enter" || event.key === "Escape") input.current?.blur();
      }}
      onBlur={leave}
    />
  );
}
