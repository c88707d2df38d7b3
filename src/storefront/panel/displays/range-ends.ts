import { isDay } from "../../../core/catalogue/field-kinds.ts";
import { type Ends, scaleEnds } from "../../../core/catalogue/numbers/scale.ts";
import type { DisplayProps } from "./display-props.ts";

/** The ends of a facet's scale, according to its settings; undefined if no product states the field. */
export function rangeEnds({
  range,
  settings,
  field,
}: Pick<DisplayProps, "range" | "settings" | "field">): Ends | undefined {
  const shown = settings.ends === "live" && range?.live.min !== null ? range?.live : range?.steady;
  if (!shown || shown.min === null || shown.max === null) return undefined;
  return scaleEnds({
    least: shown.min,
    most: shown.max,
    ...(settings.ends === "typed" ? { typed: { min: settings.min, max: settings.max } } : {}),
    bent: settings.scale === "bent",
    step: settings.step,
    days: isDay(field),
  });
}
