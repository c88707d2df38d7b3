/** @jsxImportSource preact */
import type { DisplayProps, OptionView } from "./display.ts";
import { OptionCount } from "./option-count.tsx";

interface Props extends Pick<DisplayProps, "row" | "toggle"> {
  option: OptionView;
}

/** The input behind an option: a check box, or a radio button in a one-of facet, where a second click takes the choice back. */
export function OptionInput({ row, option, toggle }: Props) {
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
export function BoxOption({ name, ...props }: Props & { name?: string }) {
  const { option } = props;
  return (
    <label class="zt-box" data-faded={option.faded || undefined}>
      <OptionInput {...props} />
      <span class="zt-name">{name ?? option.label}</span>
      <OptionCount option={option} />
    </label>
  );
}

/** Options as a list of boxes. */
export function BoxList({ options, row, toggle }: Pick<DisplayProps, "row" | "toggle" | "options">) {
  return (
    <ul class="zt-boxes">
      {options.map((option) => (
        <li key={option.id}>
          <BoxOption row={row} option={option} toggle={toggle} />
        </li>
      ))}
    </ul>
  );
}
