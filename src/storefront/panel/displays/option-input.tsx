import type { ComponentChildren } from "preact";
import { OptionCount } from "./option-count.tsx";
import type { OptionProps } from "./option-list.tsx";

/**
 * The input of an option: a check box, or a radio button in a one-of facet, where a second click removes the choice.
 */
export function OptionInput({ row, name, option, toggle }: Pick<OptionProps, "row" | "name" | "option" | "toggle">) {
  const single = row.mode === "one";
  return (
    <input
      type={single ? "radio" : "checkbox"}
      name={name}
      value={option.id}
      checked={option.chosen}
      disabled={option.faded}
      onClick={() => single && option.chosen && toggle(option.id)}
      onChange={() => toggle(option.id)}
    />
  );
}

/** An option as a box with its name and count. */
export function BoxOption({
  words,
  children,
  ...props
}: Omit<OptionProps, "settings"> & { words?: string; children?: ComponentChildren }) {
  const { option } = props;
  return (
    <label class="zt-box" data-faded={option.faded || undefined}>
      <OptionInput {...props} />
      {children}
      <span class="zt-name">{words ?? option.label}</span>
      <OptionCount option={option} say={props.say} />
    </label>
  );
}
