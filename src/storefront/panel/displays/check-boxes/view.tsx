import type { DisplayProps } from "../display-props.ts";
import { BoxOption } from "../option-input.tsx";
import { OptionList } from "../option-list.tsx";

/** Boxes to tick; radio buttons where only one can be chosen. */
export const View = (props: DisplayProps) => <OptionList {...props} class="zt-boxes" Option={BoxOption} />;
