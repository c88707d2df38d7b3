import type { DisplayProps, DisplayView } from "../display-props.ts";
import { BoxOption } from "../option-input.tsx";
import { OptionList } from "../option-list.tsx";

/** Boxes to tick; radio buttons where only one can be chosen. */
const CheckBoxes = (props: DisplayProps) => <OptionList {...props} class="zt-boxes" Option={BoxOption} />;

export const view: DisplayView = { View: CheckBoxes, sheets: ["options.css"] };
