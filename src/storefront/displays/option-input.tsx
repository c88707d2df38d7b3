/** @jsxImportSource preact */
import type { ComponentChildren } from "preact";
import type { DisplayProps, OptionView } from "./display.ts";
import { OptionCount } from "./option-count.tsx";

export interface InputProps extends Pick<DisplayProps, "row" | "toggle"> {
  option: OptionView;
}

/** The input behind an option: a check box, or a radio button in a one-of facet, where a second click takes the choice back. */
export function OptionInput({ row, option, toggle }: InputProps) {
  const single = row.mode === "one";
  return (
    <input
      type={single ? "radio" : "checkbox"}
      name={row.field}
      value={option.id}
      checked={option.chosen}
      disabled={option.faded}
      onClick={() => single && option.chosen && toggle(option.id)}
      onChange={() => toggle(option.id)}
    />
  );
}

/** An option as a box with its name and count beside it. */
export function BoxOption({ name, children, ...props }: InputProps & { name?: string; children?: ComponentChildren }) {
  const { option } = props;
  return (
    <label class="zt-box" data-faded={option.faded || undefined}>
      <OptionInput row={props.row} option={option} toggle={props.toggle} />
      {children}
      <span class="zt-name">{name ?? option.label}</span>
      <OptionCount option={option} />
    </label>
  );
}
