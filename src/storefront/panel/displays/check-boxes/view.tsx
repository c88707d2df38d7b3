import type { DisplayProps, DisplayView } from "../display-props.ts";
import { BoxOption } from "../option-input.tsx";
import { OptionList } from "../option-list.tsx";

/** Check boxes; radio buttons in a one-of facet. */
const CheckBoxes = (props: DisplayProps) => <OptionList {...props} class="zt-boxes" Option={BoxOption} />;

export const view: DisplayView = { View: CheckBoxes, sheets: ["options.css"] };
