import { useLayoutEffect, useRef, useState } from "preact/hooks";
import { kindFacts } from "../../../core/catalogue/field-kinds.ts";
import type { DisplayProps } from "./display-props.ts";

interface Props extends Pick<DisplayProps, "say"> {
  name: string;
  label: string;
  kind: DisplayProps["field"]["kind"];
  value: number | undefined;
  hint: number;
  /** How amounts are read, with NaN if the text is not a number, and written. */
  numbers: { parse(text: string): number; write(value: number): string };
  set(value: number | undefined): void;
  /** Called while somebody types, with the value if it can be read. */
  typing(value: number | undefined): void;
  /** Called when the field loses focus, whether its value changed or not. */
  leave(): void;
}

type Told = { currentTarget: HTMLInputElement };

/** Keys that edit a date field. */
const writes = /^\d$|^(Backspace|Delete|ArrowUp|ArrowDown)$/;

/** The field of one end of a range: a formatted number, or a date. */
export function EndField({ name, label, kind, value, hint, say, numbers, set, typing, leave }: Props) {
  const { line, days, amounts } = kindFacts({ kind });
  const { parse, write } = line && !amounts ? line : numbers;
  const shown = value === undefined ? "" : write(value);
  const field = useRef<HTMLInputElement>(null);
  // Typed text stays, whatever is counted meanwhile, until it is applied or something else is chosen.
  const [typed, setTyped] = useState<string>();
  const byKeys = useRef(false);
  const judge = (complaint: string) => {
    field.current?.setCustomValidity(complaint);
    if (field.current) field.current.ariaInvalid = String(complaint !== "");
  };
  // biome-ignore lint/correctness/useExhaustiveDependencies: it is another choice that ends what was typed
  useLayoutEffect(() => {
    setTyped(undefined);
    if (field.current?.validationMessage) judge("");
  }, [shown]);
  const take = (input: HTMLInputElement) => {
    const number = parse(input.value);
    const odd = Number.isNaN(number) && input.value.trim() !== "";
    // Reported by the browser and read out; the typed text stays for correction.
    judge(odd ? say("notNumber") : "");
    setTyped(odd ? input.value : undefined);
    byKeys.current = false;
    if (odd) input.reportValidity();
    else set(Number.isNaN(number) ? undefined : number);
  };
  const same = {
    ref: field,
    class: "zt-end",
    name,
    "aria-label": label,
    placeholder: write(hint),
    value: typed ?? shown,
    onInput: ({ currentTarget: { value: text } }: Told) => {
      setTyped(text);
      const number = parse(text);
      typing(Number.isNaN(number) ? undefined : number);
    },
  };
  if (!days)
    return (
      <input
        type="text"
        inputMode="decimal"
        {...same}
        onChange={({ currentTarget: input }) => take(input)}
        onBlur={leave}
      />
    );
  // While a date is typed, a browser reports a change for each intermediate date, such as the years 2, 20 and 202.
  // Typed dates are applied by Enter, by Tab when complete, and on blur; dates picked in a calendar at once.
  return (
    <input
      type="date"
      {...same}
      onKeyDown={({ key, altKey, currentTarget: input }) => {
        if (byKeys.current && (key === "Enter" || (key === "Tab" && input.value !== ""))) take(input);
        else if (writes.test(key) && !altKey) byKeys.current = true;
      }}
      onChange={({ currentTarget: input }) => {
        if (!byKeys.current) take(input);
      }}
      onBlur={({ currentTarget: input }) => {
        if (byKeys.current) take(input);
        leave();
      }}
    />
  );
}
