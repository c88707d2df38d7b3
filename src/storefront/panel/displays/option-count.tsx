import { SpokenNumber } from "../spoken-number.tsx";
import type { DisplayProps, OptionView } from "./display-props.ts";

/** The number beside an option; read out as “12 products”. */
export const OptionCount = ({
  option: { count },
  say,
}: { option: Pick<OptionView, "count"> } & Pick<DisplayProps, "say">) =>
  count === undefined ? null : <SpokenNumber n={count} as="countOf" class="zt-count" say={say} />;
