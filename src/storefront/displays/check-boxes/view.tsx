/** @jsxImportSource preact */
import type { DisplayProps } from "../display.ts";
import { BoxOption } from "../option-input.tsx";
import { OptionList } from "../option-list.tsx";

export const CheckBoxes = (props: DisplayProps) => <OptionList {...props} class="zt-boxes" Option={BoxOption} />;
