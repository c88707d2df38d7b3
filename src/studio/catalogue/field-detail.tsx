import { useMemo } from "react";
import type { Clash } from "../../core/evidence/clashes.ts";
import { type FieldDetail as Detail, detailField } from "../../core/evidence/field-detail.ts";
import type { FieldProfile } from "../../core/evidence/profile.ts";
import { isWorthAFacet, suggestDisplay } from "../../core/evidence/suggest.ts";
import { displays } from "../../storefront/displays/index.ts";
import { formatterOf } from "../../storefront/format.ts";
import { useOpenShop } from "../shell/shop-context.ts";
import { NumberChart } from "./number-chart.tsx";
import { ValueBars } from "./value-bars.tsx";

const number = new Intl.NumberFormat("en", { maximumFractionDigits: 2 });

/** One field seen closely: how its values lie, what is doubtful about them, and which products say nothing. */
export function FieldDetail({ profile }: { profile: FieldProfile }) {
  const { shop, index } = useOpenShop();
  const detail = useMemo(() => detailField(index, profile.field), [index, profile.field]);
  const format = formatterOf(profile.field, shop.currency);
  return (
    <div className="grid grid-cols-[minmax(0,5fr)_minmax(0,4fr)_minmax(0,3fr)] gap-8 bg-plum-soft/60 px-5 py-4">
      <section aria-label={`Spread of ${profile.field.name}`}>
        <h3 className="mb-2 text-[15px]">Spread</h3>
        {detail.numbers?.histogram ? (
          <NumberChart histogram={detail.numbers.histogram} format={format} label={`Products by ${profile.field.name}`} />
        ) : (
          <ValueBars values={detail.values} />
        )}
      </section>
      <section aria-label={`What to know about ${profile.field.name}`}>
        <h3 className="mb-2 text-[15px]">What to know</h3>
        <Facts profile={profile} detail={detail} format={format} />
      </section>
      <section aria-label={`Products that do not state ${profile.field.name}`}>
        <h3 className="mb-2 text-[15px]">
          {detail.silent === 0
            ? "Every product states it"
            : `${detail.silent.toLocaleString("en")} of ${profile.outOf.toLocaleString("en")} do not state it`}
        </h3>
        {/* biome-ignore lint/a11y/noNoninteractiveTabindex: a list that scrolls must be reachable by the keyboard */}
        <ul tabIndex={0} className="max-h-52 overflow-auto text-[13px] text-quiet">
          {detail.silentProducts.map(({ id, title }) => (
            <li key={id} className="truncate">
              {title}
            </li>
          ))}
          {detail.silent > detail.silentProducts.length ? (
            <li>and {(detail.silent - detail.silentProducts.length).toLocaleString("en")} more</li>
          ) : null}
        </ul>
      </section>
    </div>
  );
}

function Facts({ profile, detail, format }: { profile: FieldProfile; detail: Detail; format(value: number): string }) {
  const suggestion = suggestDisplay(profile);
  const { entropy, narrowing, singles, spellings, clashes, units, numbers } = detail;
  return (
    <ul className="grid gap-2 text-[13px]">
      <li>
        <b>{isWorthAFacet(profile) ? displays[suggestion.display].label : "No facet by itself"}</b>
        {isWorthAFacet(profile) ? `: ${suggestion.reason}.` : ": it parts too few products, or tells each apart."}
      </li>
      {numbers ? null : (
        <li>
          An answer narrows the products down by <b>{number.format(narrowing)} bits</b>; the values hold {number.format(entropy)} bits.
        </li>
      )}
      {singles > 0 ? (
        <li>
          <b>{singles.toLocaleString("en")}</b> of {profile.options.toLocaleString("en")} values {singles === 1 ? "is" : "are"} stated by one product
          only.
        </li>
      ) : null}
      {numbers ? (
        <li>
          Half lie between <b>{format(numbers.distribution.quartiles[0])}</b> and <b>{format(numbers.distribution.quartiles[2])}</b>, the middle is{" "}
          {format(numbers.distribution.quartiles[1])}.
        </li>
      ) : null}
      {numbers && numbers.distribution.outliers.length > 0 ? (
        <li>
          <b>{numbers.distribution.outliers.length.toLocaleString("en")}</b>{" "}
          {numbers.distribution.outliers.length === 1 ? "value lies" : "values lie"} far outside, up to{" "}
          {format(numbers.distribution.outliers[numbers.distribution.outliers.length - 1])}.
          {numbers.distribution.skewness > 1 ? " An even scale would waste most of its length." : ""}
        </li>
      ) : null}
      {spellings.map(({ label, written }) => (
        <li key={label}>
          <b>{label}</b> is written {written.map((text) => `“${text}”`).join(", ")}. They count as one.
        </li>
      ))}
      {clashes.slice(0, 6).map((clash) => (
        <li key={clash.values.map(({ label }) => label).join("|")}>
          <ClashText clash={clash} />
        </li>
      ))}
      {clashes.length > 6 ? <li>and {clashes.length - 6} more pairs that look alike.</li> : null}
      {units ? (
        <li>
          <b>{units.matching}</b> of {units.outOf} values are numbers with a unit ({units.units.join(", ")}).
        </li>
      ) : null}
    </ul>
  );
}

function ClashText({ clash: { kind, values } }: { clash: Clash }) {
  const [most, other] = values;
  return (
    <>
      <b>
        {other.label} ({other.products})
      </b>{" "}
      is probably{" "}
      <b>
        {most.label} ({most.products})
      </b>
      : {{ accents: "the same but for accents", plural: "the same but for a plural ending", "near miss": "a letter or two apart" }[kind]}.
    </>
  );
}
