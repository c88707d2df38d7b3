import type { ChangeSummary } from "../../core/change/change-summary.ts";

const shown = 6;

/** What a newer catalogue changes: in numbers, in the panels, by field, and product by product. */
export function ChangeList({
  change: { counts, effects, fields, added, gone, changed, renamed },
  goOn,
}: {
  change: ChangeSummary;
  /** Takes a new field for one that is gone. */
  goOn(renamed: ChangeSummary["renamed"][number]): void;
}) {
  return (
    <div className="grid gap-5">
      <dl className="grid grid-cols-4 divide-x divide-hair rounded-box border border-hair bg-base-100 py-3 text-center">
        {(
          [
            ["new", counts.added],
            ["changed", counts.changed],
            ["gone", counts.gone],
            ["as they were", counts.same],
          ] as const
        ).map(([label, number]) => (
          <div key={label} className="flex flex-col-reverse">
            <dt className="text-quiet">{label}</dt>
            <dd className="font-display text-2xl font-semibold tabular-nums">{number.toLocaleString("en")}</dd>
          </div>
        ))}
      </dl>
      {renamed.length > 0 ? (
        <Part title="Is this the same under another heading?">
          {renamed.map((one) => (
            <li key={one.from.key} className="flex items-center gap-3 py-1.5">
              <span className="flex-1">
                <b>{one.to.name}</b> says what <b>{one.from.name}</b> said for {one.same.toLocaleString("en")} of{" "}
                {one.of.toLocaleString("en")} products.{" "}
                <span className="text-quiet">Facets, mends and swatches go on with it.</span>
              </span>
              <button type="button" className="btn btn-sm" onClick={() => goOn(one)}>
                This is {one.from.name}
              </button>
            </li>
          ))}
        </Part>
      ) : null}
      <Part title={effects.length === 0 ? "No panel is touched" : "What it does to your panels"}>
        {effects.map(({ panel, facet, words }) => (
          <li key={panel + facet + words} className="py-1.5">
            <b>
              {panel}, {facet}:
            </b>{" "}
            {words}
          </li>
        ))}
      </Part>
      <Part title={fields.length === 0 ? "No field changes" : "By field"}>
        {fields.map(({ name, state, products, newValues, newCount, goneValues, goneCount }) => (
          <li key={name} className="py-1.5">
            <b>{name}</b>{" "}
            {state === "added"
              ? "is new. "
              : state === "gone"
                ? "is gone. "
                : products > 0
                  ? `differs for ${products.toLocaleString("en")} ${products === 1 ? "product" : "products"}. `
                  : ""}
            {state !== "gone" && newCount > 0 ? <Values lead="New values" values={newValues} count={newCount} /> : null}
            {state !== "added" && goneCount > 0 ? <Values lead="Gone" values={goneValues} count={goneCount} /> : null}
          </li>
        ))}
      </Part>
      <div className="grid grid-cols-3 items-start gap-4">
        <Products title="New" products={added} count={counts.added} />
        <Products title="Changed" products={changed} count={counts.changed} />
        <Products title="Gone" products={gone} count={counts.gone} />
      </div>
    </div>
  );
}

function Part({ title, children }: { title: string; children: React.ReactNode }) {
  return (
    <section>
      <h2 className="mb-1 text-lg">{title}</h2>
      <ul className="divide-y divide-hair">{children}</ul>
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
  products: readonly { id: string; title: string; fields?: string[] }[];
  count: number;
}) {
  if (count === 0) return null;
  return (
    <section>
      <h2 className="mb-1 text-lg">{title}</h2>
      {/* biome-ignore lint/a11y/noNoninteractiveTabindex: a list that scrolls must be reachable by the keyboard */}
      <ul tabIndex={0} className="max-h-64 overflow-auto text-[13px]">
        {products.map((product) => (
          <li key={product.id} className="truncate py-0.5" title={product.fields?.join(", ")}>
            {product.title} {product.fields ? <span className="text-quiet">{product.fields.join(", ")}</span> : null}
          </li>
        ))}
        {count > products.length ? (
          <li className="text-quiet">and {(count - products.length).toLocaleString("en")} more</li>
        ) : null}
      </ul>
    </section>
  );
}
