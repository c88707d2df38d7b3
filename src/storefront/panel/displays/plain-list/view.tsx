import type { DisplayProps, DisplayView } from "../display-props.ts";
import { OptionCount } from "../option-count.tsx";
import { OptionInput } from "../option-input.tsx";
import { OptionList, type OptionProps } from "../option-list.tsx";

/** Plain words; chosen ones are bold and have a mark. */
const PlainList = (props: DisplayProps) => <OptionList {...props} class="zt-plain" Option={PlainOption} />;

function PlainOption({ row, name, option, toggle, say }: OptionProps) {
  return (
    <label class="zt-plain-option" data-faded={option.faded || undefined} data-chosen={option.chosen || undefined}>
      <OptionInput row={row} name={name} option={option} toggle={toggle} />
      <span class="zt-name">{option.label}</span>
      <OptionCount option={option} say={say} />
    </label>
  );
}

export const view: DisplayView = { View: PlainList, sheets: ["options.css", "plain-list/plain-list.css"] };
