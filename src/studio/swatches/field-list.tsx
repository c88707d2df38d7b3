import { NavLink } from "react-router";
import { type Field, isFacetable } from "../../core/catalogue/field.ts";
import { kindFacts } from "../../core/catalogue/field-kinds.ts";
import type { FieldProfile } from "../../core/profile/profile.ts";
import { countColours } from "../../core/swatch/plain-names.ts";
import { useOpenShop } from "../shell/shop-context.ts";
import { SwatchDot } from "./swatch-dot.tsx";

const maxValues = 2000;

/** Fields whose values can have a swatch: colour fields first, then brands. */
export function bookFields(profiles: readonly FieldProfile[]): Field[] {
  const rank = ({ field, samples }: FieldProfile) => {
    const coloured = countColours(samples) / Math.max(1, samples.length);
    return coloured > 0.3 || kindFacts(field).colours ? 2 + coloured : field.role === "brand" ? 1 : 0;
  };
  return profiles
    .filter(
      ({ field, options }) =>
        isFacetable(field) && kindFacts(field).words && !kindFacts(field).nested && options > 1 && options <= maxValues,
    )
    .toSorted((a, b) => rank(b) - rank(a))
    .map(({ field }) => field);
}

/** The fields of the book, each with a few of its swatches. */
export function FieldList({ fields, current }: { fields: readonly Field[]; current: string | undefined }) {
  const { shop, swatches, profileOf } = useOpenShop();
  return (
    <nav
      aria-label="Fields"
      className="w-52 flex-none overflow-auto border-e border-hair bg-base-200 py-2 max-md:max-h-44 max-md:w-full"
    >
      {fields.map(({ key, name }) => {
        const views = Object.values(swatches[key] ?? {});
        const all = profileOf(key)?.options ?? 0;
        return (
          <NavLink
            key={key}
            to={`/shops/${shop.slug}/swatches/${encodeURIComponent(key)}`}
            className={`block px-4 py-2 ${key === current ? "bg-base-100 font-medium shadow-[inset_3px_0_var(--color-accent)]" : "hover:bg-sand"}`}
          >
            <span className="block truncate">{name}</span>
            <span className="flex items-center gap-1 text-[13px] font-normal text-quiet">
              {views.slice(0, 5).map((view, i) => (
                <SwatchDot key={i} view={view} size={12} />
              ))}
              {views.length} of {all}
            </span>
          </NavLink>
        );
      })}
    </nav>
  );
}
