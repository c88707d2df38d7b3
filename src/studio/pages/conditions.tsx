import { X } from "lucide-react";
import { useState } from "react";
import type { Field } from "../../core/catalogue/field.ts";
import { countsOf } from "../../core/engine/engine.ts";
import type { Clause, Condition, Selection } from "../../core/engine/question.ts";
import { emptySelection, isRange } from "../../core/engine/selection.ts";
import { formatterOf } from "../../storefront/panel/format.ts";
import { FacetFilter, tableFacet } from "../controls/facet-filter.tsx";
import { Popover } from "../shell/popover.tsx";
import { useAnswer, useOpenShop } from "../shell/shop-context.ts";

interface Props {
  conditions: readonly Condition[];
  /** The other conditions, for the counts beside the values. */
  within: Clause[];
  set(conditions: Condition[], words: string): void;
}

/** Conditions over fields, one per field: any of some values, or a range. Chosen with the same controls as filters. */
export function Conditions({ conditions, within, set }: Props) {
  const { profileOf, fieldOf } = useOpenShop();
  const [open, setOpen] = useState<string[]>([]);
  const selection = selectionOf(conditions);
  const facets = [...new Set([...open, ...Object.keys(selection.choices)])].flatMap((key) => {
    const profile = profileOf(key);
    return profile ? [tableFacet(profile)] : [];
  });
  const answer = useAnswer(countsOf(facets, emptySelection, within));
  const others = conditions.filter((one) => !("field" in one));
  const name = (key: string) => fieldOf(key)?.name ?? key;
  return (
    <div className="flex flex-col items-start gap-1.5 text-[13px]">
      {conditions.map((condition, at) => (
        <span
          key={JSON.stringify(condition)}
          className="flex max-w-full items-center gap-2 rounded-lg bg-sand py-1 ps-2.5 pe-1"
        >
          <span className="min-w-0 truncate">
            <ConditionWords condition={condition} />
          </span>
          <button
            type="button"
            className="grid size-6 flex-none place-items-center rounded-md hover:bg-base-100"
            aria-label={`Remove the condition ${"field" in condition ? name(condition.field) : ""}`}
            onClick={() =>
              set(
                conditions.filter((_, n) => n !== at),
                `remove the condition on ${"field" in condition ? name(condition.field) : "products"}`,
              )
            }
          >
            <X size={13} aria-hidden />
          </button>
        </span>
      ))}
      <Popover
        label="Choose conditions"
        className="w-60 p-0"
        trigger={(props) => (
          <button type="button" {...props} className="btn btn-xs border-dashed border-secondary bg-base-100">
            {conditions.length === 0 ? "Choose conditions" : "Change"}
          </button>
        )}
      >
        {() => (
          <FacetFilter
            open={open}
            setOpen={setOpen}
            answer={answer}
            selection={selection}
            select={(next) => set([...conditionsOf(next), ...others], "conditions")}
            // A collection's conditions can't refer to collections.
            without="collections"
          />
        )}
      </Popover>
    </div>
  );
}

/** A condition in words. */
export function ConditionWords({ condition }: { condition: Condition }) {
  const { fieldOf, shop } = useOpenShop();
  if ("products" in condition) return `${condition.products.length} products picked by hand`;
  if ("words" in condition) return `has “${condition.words}”`;
  const field = fieldOf(condition.field);
  return (
    <>
      <b className="font-medium">{field?.name ?? condition.field}</b> {wordsOf(condition, field, shop.currency)}
    </>
  );
}

function wordsOf(condition: Extract<Condition, { field: string }>, field: Field | undefined, currency: string): string {
  if (!field) return "is no longer in the catalogue";
  if ("options" in condition) return condition.options.join(" or ");
  const format = formatterOf(field, currency);
  const { min, max } = condition;
  if (min !== undefined && max !== undefined) return `${format(min)} to ${format(max)}`;
  return min === undefined ? (max === undefined ? "any" : `up to ${format(max)}`) : `from ${format(min)}`;
}

const selectionOf = (conditions: readonly Condition[]): Selection => ({
  ...emptySelection,
  choices: Object.fromEntries(
    conditions.flatMap((one) => {
      if (!("field" in one)) return [];
      const { field, ...choice } = one;
      return [[field, choice]];
    }),
  ),
});

const conditionsOf = ({ choices }: Selection): Condition[] =>
  Object.entries(choices).map(([field, choice]) =>
    isRange(choice)
      ? {
          field,
          ...(choice.min === undefined ? {} : { min: choice.min }),
          ...(choice.max === undefined ? {} : { max: choice.max }),
        }
      : { field, options: [...choice.options] },
  );
