import { Children } from "react";
import type { ChangeSummary } from "../../core/reconcile/change-summary.ts";
import { HiddenList } from "./hidden-list.tsx";
import { Moves } from "./moves.tsx";

const shown = 6;

interface Props {
  change: ChangeSummary;
  /** Treats an added field as the continuation of a removed one. */
  goOn(renamed: ChangeSummary["renamed"][number]): void;
  /** Treats an added value as the continuation of a removed one. */
  callAsBefore(renamed: ChangeSummary["renamedValues"][number]): void;
  /** Corrected cells to clear, by {@link hiddenKey}. */
  cleared: ReadonlySet<string>;
  setCleared(names: ReadonlySet<string>): void;
}

/** The changes of a newer catalogue: in numbers, in panels and pages, by field, and product by product. */
export function ChangeList({
  change: { counts, effects, fields, added, gone, changed, renamed, renamedValues, hidden, hiddenCount },
  goOn,
  callAsBefore,
  cleared,
  setCleared,
}: Props) {
  if (counts.added + counts.changed + counts.gone + fields.length + hidden.length === 0)
    return (
      <p className="rounded-box border border-hair bg-base-100 px-5 py-6" role="status">
        <b>Nothing changes.</b> All {counts.same.toLocaleString("en")} products stay the same.
      </p>
    );
  return (
    <div className="grid gap-5">
      <dl className="grid grid-cols-4 divide-x divide-hair rounded-box border border-hair bg-base-100 py-3 text-center">
        {(
          [
            ["new", counts.added],
            ["changed", counts.changed],
            ["removed", counts.gone],
            ["unchanged", counts.same],
          ] as const
        ).map(([label, number]) => (
          <div key={label} className="flex flex-col-reverse">
            <dt className="text-quiet">{label}</dt>
            <dd className="font-display text-2xl font-semibold tabular-nums">{number.toLocaleString("en")}</dd>
          </div>
        ))}
      </dl>
      {renamed.length > 0 ? (
        <Part title="Is this the same column with a new heading?">
          {renamed.map((one) => (
            <li key={one.from.key} className="flex items-center gap-3 py-1.5">
              <span className="flex-1">
                <b>{one.to.name}</b> has the same values as <b>{one.from.name}</b> for {one.same.toLocaleString("en")}{" "}
                of {one.of.toLocaleString("en")} products.{" "}
                <span className="text-quiet">Its facets, corrections and swatches then keep working.</span>
              </span>
              <button type="button" className="btn btn-sm bg-base-100" onClick={() => goOn(one)}>
                This is {one.from.name}
              </button>
            </li>
          ))}
        </Part>
      ) : null}
      {renamedValues.length > 0 ? (
        <Part title="Is this the same value with a new spelling?">
          {renamedValues.map((one) => (
            <li key={`${one.field.key} ${one.from}`} className="flex items-center gap-3 py-1.5">
              <span className="flex-1">
                {one.field.name}: <b>{one.to}</b>
                {one.of > 0
                  ? ` is now in ${one.same === one.of ? "all" : one.same.toLocaleString("en")} of the ${one.of.toLocaleString("en")} products that had `
                  : " is spelt almost like "}
                <b>{one.from}</b>.{" "}
                <span className="text-quiet">It then keeps its swatch, merges, label and position.</span>
              </span>
              <button type="button" className="btn btn-sm bg-base-100" onClick={() => callAsBefore(one)}>
                This is {one.from}
              </button>
            </li>
          ))}
        </Part>
      ) : null}
      <HiddenList hidden={hidden} count={hiddenCount} cleared={cleared} setCleared={setCleared} />
      <Part title={effects.length === 0 ? "No panel or page changes" : "Effects on panels and pages"}>
        {effects.map(({ place, words }) => (
          <li key={place + words} className="py-1.5">
            <b>{place}:</b> {words}
          </li>
        ))}
      </Part>
      <Part title={fields.length === 0 ? "No field changes" : "Changes by field"}>
        {fields.map(({ name, state, products, moves, moreMoves, newValues, newCount, goneValues, goneCount }) => (
          <li key={name} className="py-1.5">
            <b>{name}</b>{" "}
            {state === "added"
              ? "is new. "
              : state === "gone"
                ? "was removed. "
                : products > 0
                  ? `differs for ${products.toLocaleString("en")} ${products === 1 ? "product" : "products"}. `
                  : ""}
            {state !== "gone" && newCount > 0 ? <Values lead="New values" values={newValues} count={newCount} /> : null}
            {state !== "added" && goneCount > 0 ? (
              <Values lead="Removed values" values={goneValues} count={goneCount} />
            ) : null}
            {moves.length > 0 ? (
              <span className="block text-[13px]">
                <Moves moves={moves} more={moreMoves} />
              </span>
            ) : null}
          </li>
        ))}
      </Part>
      {counts.changed > 0 ? (
        <Part title="Changed products">
          {changed.map(({ id, title, cells }) => (
            <li key={id} className="py-1.5 text-[13px]">
              <b className="font-semibold">{title}</b>
              {cells.map(({ field, moves, more }) => (
                <span key={field} className="block">
                  <span className="text-quiet">{field}:</span> <Moves moves={moves} more={more} />
                </span>
              ))}
            </li>
          ))}
          <More count={counts.changed - changed.length} />
        </Part>
      ) : null}
      <div className="grid grid-cols-2 items-start gap-4">
        <Products title="New products" products={added} count={counts.added} />
        <Products title="Removed products" products={gone} count={counts.gone} />
      </div>
    </div>
  );
}

/** Number of lines above which a list scrolls by itself, so that what follows stays near. */
const longList = 12;

function Part({ title, children }: { title: string; children: React.ReactNode }) {
  return (
    <section>
      <h2 className="mb-1 text-lg">{title}</h2>
      {Children.count(children) > longList ? (
        // biome-ignore lint/a11y/noNoninteractiveTabindex: a list that scrolls must be reachable by the keyboard
        <ul tabIndex={0} aria-label={title} className="max-h-80 divide-y divide-hair overflow-auto">
          {children}
        </ul>
      ) : (
        <ul className="divide-y divide-hair">{children}</ul>
      )}
    </section>
  );
}

function Values({ lead, values, count }: { lead: string; values: readonly string[]; count: number }) {
  return (
    <span className="text-quiet">
      {lead}: {values.slice(0, shown).join(", ")}
      {count > shown ? ` and ${(count - shown).toLocaleString("en")} more` : ""}.{" "}
    </span>
  );
}

function Products({
  title,
  products,
  count,
}: {
  title: string;
  products: readonly { id: string; title: string }[];
  count: number;
}) {
  if (count === 0) return null;
  return (
    <Part title={title}>
      {products.map((product) => (
        <li key={product.id} className="truncate py-0.5 text-[13px]">
          {product.title}
        </li>
      ))}
      <More count={count - products.length} />
    </Part>
  );
}

const More = ({ count }: { count: number }) =>
  count > 0 ? <li className="py-1 text-[13px] text-quiet">and {count.toLocaleString("en")} more</li> : null;
