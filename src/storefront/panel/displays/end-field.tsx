import { useLayoutEffect, useRef, useState } from "preact/hooks";
import { fromNumber, kindFacts } from "../../../core/catalogue/field-kinds.ts";
import type { DisplayProps } from "./display-props.ts";

interface Props extends Pick<DisplayProps, "say"> {
  name: string;
  label: string;
  kind: DisplayProps["field"]["kind"];
  value: number | undefined;
  hint: number;
  /** NaN for what is no number. */
  read(text: string): number;
  set(value: number | undefined): void;
  /** The value of the field while somebody types, where it can be read. */
  typing(value: number | undefined): void;
  /** The field is left, whether anything was taken or not. */
  leave(): void;
}

type Told = { currentTarget: HTMLInputElement };

/** Keys that write into a date's field. */
const writes = /^\d$|^(Backspace|Delete|ArrowUp|ArrowDown)$/;

/** The field of one end of a range: a number as captions write it, or a date. */
export function EndField({ name, label, kind, value, hint, say, read, set, typing, leave }: Props) {
  const shown = value === undefined ? "" : fromNumber(value, kind);
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
  const { line, days, amounts } = kindFacts({ kind });
  const valueIn = (text: string) => (line && !amounts ? line.parse(text) : read(text));
  const take = (input: HTMLInputElement) => {
    const number = valueIn(input.value);
    const odd = Number.isNaN(number) && input.value.trim() !== "";
    // Told by the browser in its own way, and heard; what was typed stays to be corrected.
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
    placeholder: fromNumber(hint, kind),
    value: typed ?? shown,
    onInput: ({ currentTarget: { value: text } }: Told) => {
      setTyped(text);
      const number = valueIn(text);
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
  // A browser calls each date on the way to the one that is typed a change, the years 2, 20 and 202 among them. What
  // comes from keys is taken by Enter, by Tab once it is whole, and when the field is left; what is picked from a
  // calendar at once.
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
