import type { Field } from "../../core/catalogue/field.ts";
import type { ValueCount } from "../../core/profile/field-detail.ts";
import { Opens } from "../numbers/opens.tsx";
import { productsWith } from "./opened.ts";

const shown = 12;

/** The most frequent values as bars, with the rarest listed below. */
export function ValueBars({ field, values }: { field: Field; values: readonly ValueCount[] }) {
  const most = values[0]?.products ?? 1;
  const rare = values.slice(shown).slice(-3);
  return (
    <>
      <table className="w-full text-[13px]">
        <tbody>
          {values.slice(0, shown).map(({ label, products }) => (
            <tr key={label}>
              <th scope="row" className="max-w-40 truncate py-0.5 pe-3 text-start font-normal" title={label}>
                {label}
              </th>
              <td className="w-full">
                <span
                  className="block h-2.5 rounded-full bg-secondary/70"
                  style={{ width: `${Math.max(1, (products / most) * 100)}%` }}
                />
              </td>
              <td className="ps-3 text-end">
                <Opens number={() => productsWith(field, label, products)}>{products.toLocaleString("en")}</Opens>
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      {values.length > shown ? (
        <p className="mt-1.5 text-[12px] text-quiet">
          and {(values.length - shown).toLocaleString("en")} more, the rarest{" "}
          {rare.map(({ label }) => label).join(", ")}
        </p>
      ) : null}
    </>
  );
}
