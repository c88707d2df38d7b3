import { useState } from "react";
import { Fault } from "../shell/alert.tsx";
import { useTypedText } from "../shell/typing.ts";

/** A text saved on Enter or blur. */
export function TextControl({
  name,
  value,
  longest,
  set,
  faultIn,
  whilePaused = true,
}: {
  name: string;
  value: string;
  longest: number;
  /** Whether it is also saved during pauses in typing; default: yes. */
  whilePaused?: boolean;
  set(text: string): void;
  /** Why a text is rejected; it stays in the field then. Default: none is */
  faultIn?: (text: string) => string | undefined;
}) {
  const [fault, setFault] = useState<string | undefined>(undefined);
  const save = (typed: string) => {
    const found = faultIn?.(typed);
    setFault(found);
    if (typed !== value && found === undefined) set(typed);
  };
  const { text, type, leave } = useTypedText(value, save, {
    canSave: (typed) => typed.trim() !== "" && faultIn?.(typed) === undefined,
    whilePaused,
  });
  return (
    <>
      <input
        type="text"
        className="input input-xs w-full min-w-0 tabular-nums"
        aria-label={name}
        aria-invalid={fault !== undefined}
        value={text}
        maxLength={longest}
        onChange={(event) => type(event.target.value)}
        onBlur={leave}
        onKeyDown={(event) => event.key === "Enter" && leave()}
      />
      <Fault text={fault} className="text-[13px]" />
    </>
  );
}
