import type { DisplayProps } from "../display-props.ts";
import { BoxOption } from "../option-input.tsx";
import { OptionList } from "../option-list.tsx";

export const View = (props: DisplayProps) => <OptionList {...props} class="zt-boxes" Option={BoxOption} />;
