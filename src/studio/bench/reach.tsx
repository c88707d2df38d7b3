import { isNumeric, isTwoValued } from "../../core/catalogue/field-kinds.ts";
import type { Mode } from "../../core/engine/question.ts";
import type { FieldProfile } from "../../core/profile/profile.ts";
import { formatterOf } from "../../storefront/panel/format.ts";
import { percent } from "../shell/percent.ts";
import { useOpenShop } from "../shell/shop-context.ts";

/** The reach of a field or facet, as a bar and in words, and the number of its options. */
export function Reach({ profile, mode }: { profile: FieldProfile; mode?: Mode }) {
  const { shop } = useOpenShop();
  const { field, reach, outOf, level, options, min, max } = profile;
  const share = outOf === 0 ? 0 : reach / outOf;
  const format = formatterOf(field, shop.currency);
  const range = (mode ?? (isNumeric(field) ? "range" : "any")) === "range" && min !== null && max !== null;
  const what = range
    ? `${format(min)} – ${format(max)}`
    : isTwoValued(field)
      ? "yes / no"
      : `${options.toLocaleString("en")} options`;
  return (
    <span className="flex items-center gap-1.5 text-[13px] leading-tight text-quiet tabular-nums">
      <span className="h-1 w-11 flex-none overflow-hidden rounded-full bg-base-300" aria-hidden>
        <span
          className={`block h-full ${share < 0.5 ? "bg-error" : "bg-success"}`}
          style={{ width: `${share * 100}%` }}
        />
      </span>
      <span className="truncate">
        {percent(reach, outOf)}
        {level === "variant" ? " · variant" : ""} · {what}
      </span>
    </span>
  );
}
