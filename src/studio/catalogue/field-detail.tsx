import { useState } from "react";
import { isDerived, isWholeText } from "../../core/catalogue/field.ts";
import { isNumeric } from "../../core/catalogue/field-kinds.ts";
import { areConvertible } from "../../core/catalogue/numbers/units.ts";
import { displays } from "../../core/displays/displays.ts";
import { suggestFacet } from "../../core/panel/suggest/suggest.ts";
import type { Clash } from "../../core/profile/clashes.ts";
import type { FieldDetail as Detail } from "../../core/profile/field-detail.ts";
import type { FieldProfile } from "../../core/profile/profile.ts";
import { formatterOf } from "../../storefront/panel/format.ts";
import { Opens } from "../numbers/opens.tsx";
import { Explained } from "../shell/explained.tsx";
import { useAsked, useOpenShop } from "../shell/shop-context.ts";
import { FieldReading } from "./field-reading.tsx";
import { NumberChart } from "./number-chart.tsx";
import { productsWithout } from "./opened.ts";
import { type Mender, useMender } from "./use-mender.ts";
import { ValueBars } from "./value-bars.tsx";
import { ValueMender } from "./value-mender.tsx";

/** Details of a field: the distribution of its values, doubtful ones, and products without a value. */
export function FieldDetail({ profile }: { profile: FieldProfile }) {
  const { shop, desk } = useOpenShop();
  const detail = useAsked(() => desk.detail(profile.field.key), profile.field.key);
  const mender = useMender(profile.field);
  const [mending, setMending] = useState(false);
  const format = formatterOf(profile.field, shop.currency);
  if (!detail) return <p className="bg-plum-soft/60 px-5 py-4 text-quiet">Loading the field…</p>;
  const mendable = !isDerived(profile.field) && !isWholeText(profile.field.role) && !isNumeric(profile.field);
  return (
    <div className="grid grid-cols-[minmax(0,5fr)_minmax(0,4fr)_minmax(0,3fr)] gap-x-8 gap-y-4 bg-plum-soft/60 px-5 py-4">
      <FieldReading field={profile.field} level={profile.level} />
      <section aria-label={`Spread of ${profile.field.name}`}>
        <div className="mb-2 flex items-baseline justify-between">
          <h3 className="text-[15px]">{mending ? "Values" : "Spread"}</h3>
          {mendable ? (
            <button type="button" className="link text-[13px]" onClick={() => setMending(!mending)}>
              {mending ? "Back to the spread" : "Correct the values"}
            </button>
          ) : null}
        </div>
        {mending ? (
          <ValueMender values={detail.values} mender={mender} />
        ) : detail.numbers?.histogram ? (
          <NumberChart
            histogram={detail.numbers.histogram}
            format={format}
            label={`Products by ${profile.field.name}`}
          />
        ) : (
          <ValueBars field={profile.field} values={detail.values} />
        )}
      </section>
      <section aria-label={`What to know about ${profile.field.name}`}>
        <h3 className="mb-2 text-[15px]">What to know</h3>
        <Facts profile={profile} detail={detail} format={format} mender={mender} />
      </section>
      <section aria-label={`Products without a value for ${profile.field.name}`}>
        <h3 className="mb-2 text-[15px]">
          {detail.silent === 0 ? (
            "Every product has a value"
          ) : (
            <>
              <Opens number={() => productsWithout(profile.field, detail.silent)}>
                {detail.silent.toLocaleString("en")}
              </Opens>{" "}
              of {profile.outOf.toLocaleString("en")} have no value for it
            </>
          )}
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

interface FactsProps {
  profile: FieldProfile;
  detail: Detail;
  format(value: number): string;
  mender: Mender;
}

function Facts({ profile, detail, format, mender }: FactsProps) {
  const suggestion = suggestFacet(profile);
  const { answers, singles, spellings, clashes, units, numbers } = detail;
  return (
    <ul className="grid gap-2 text-[13px]">
      <li>
        <b>
          {suggestion.worth
            ? `${displays[suggestion.display].label}, ${suggestion.order === "natural" ? "in natural order" : "by count"}`
            : "Not suggested as a facet"}
        </b>
        : {suggestion.reason}.
      </li>
      {profile.reach === 0 ? null : (
        <li>
          <Explained
            by={
              numbers
                ? "For each product, the range around its number (about ± 25%) is chosen. This is the average number of products left."
                : "For each product, its rarest value is chosen. This is the average number of products left."
            }
          >
            One choice leaves <b>{Math.round(answers.left).toLocaleString("en")}</b> of{" "}
            {profile.reach.toLocaleString("en")} products on average.
          </Explained>
        </li>
      )}
      {singles > 0 ? (
        <li>
          <b>{singles.toLocaleString("en")}</b> of {profile.options.toLocaleString("en")} values{" "}
          {singles === 1 ? "appears" : "appear"} in one product only.
        </li>
      ) : null}
      {numbers ? (
        <li>
          Half of the numbers are between <b>{format(numbers.distribution.quartiles[0])}</b> and{" "}
          <b>{format(numbers.distribution.quartiles[2])}</b>; the median is {format(numbers.distribution.quartiles[1])}.
        </li>
      ) : null}
      {numbers && numbers.distribution.outliers.length > 0 ? (
        <li>
          <b>{numbers.distribution.outliers.length.toLocaleString("en")}</b>{" "}
          {numbers.distribution.outliers.length === 1 ? "value is" : "values are"} far outside, up to{" "}
          {format(numbers.distribution.outliers.at(-1) ?? numbers.distribution.max)}.
          {numbers.distribution.skewness > 1 ? " On an even scale, most of the length would be empty." : ""}
        </li>
      ) : null}
      {spellings.map(({ label, written }) => (
        <li key={label}>
          <b>{label}</b> is written {written.map((text) => `“${text}”`).join(", ")}. All spellings count as one value.
        </li>
      ))}
      {clashes.slice(0, 6).map((clash) => (
        <li key={clash.values.map(({ label }) => label).join("|")}>
          <ClashText clash={clash} />{" "}
          <button
            type="button"
            className="btn btn-xs"
            onClick={() => mender.merge([clash.values[1].label], clash.values[0].label)}
          >
            Merge into {clash.values[0].label}
          </button>
        </li>
      ))}
      {clashes.length > 6 ? <li>and {clashes.length - 6} more pairs that look alike.</li> : null}
      {units ? (
        <li>
          <b>{units.matching}</b> of {units.outOf} values are numbers with a unit ({units.units.join(", ")}).{" "}
          {areConvertible(units.units) ? (
            <button type="button" className="btn btn-xs" onClick={() => mender.toNumbers(units.unit)}>
              Convert to numbers in {units.unit}
            </button>
          ) : (
            "The units measure different things, so they can’t be converted into one another."
          )}
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
      :{" "}
      {
        {
          accents: "the same except for accents",
          plural: "the same except for a plural ending",
          "near miss": "one or two letters differ",
        }[kind]
      }
      .
    </>
  );
}
