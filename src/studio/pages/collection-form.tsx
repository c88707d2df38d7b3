import { lazy, Suspense } from "react";
import { useNavigate } from "react-router";
import { type Field, isFacetable } from "../../core/catalogue/field.ts";
import { countsOf } from "../../core/engine/engine.ts";
import { removeCollection, setCollection } from "../../core/page/edit.ts";
import type { Collection } from "../../core/page/pages-schema.ts";
import { membersOf } from "../../core/page/shown-page.ts";
import { Choice } from "../controls/choice.tsx";
import { RemoveLink } from "../controls/line-tools.tsx";
import { TextControl } from "../controls/text-control.tsx";
import { Translations } from "../controls/translations.tsx";
import { useAnswer, useOpenShop } from "../shell/shop-context.ts";
import { Conditions } from "./conditions.tsx";
import { HandPicks } from "./hand-picks.tsx";
import { SlugField, useFollowingSlug } from "./slug-field.tsx";

const RichText = lazy(() => import("../controls/rich-text.tsx"));
const label = "pt-1 text-[13px] text-quiet";

/** One collection: its name and address, its text, and its products. */
/** Whether collections can be made of a field: which collections there are can't be what one is made of. */
const isOwn = (field: Field): boolean => isFacetable(field) && field.role !== "collections";

export function CollectionForm({ collection }: { collection: Collection }) {
  const { shop, pages, profiles } = useOpenShop();
  const navigate = useNavigate();
  const { of, name } = collection;
  const within = membersOf(collection, undefined);
  const answer = useAnswer({ ...countsOf([], undefined, within), size: 12 });
  const follow = useFollowingSlug();
  const set = (change: Partial<Collection>, words: string) =>
    pages.getState().apply(setCollection({ ...collection, ...change }, `${name}: ${words}`));
  const by = (next: Collection["of"]["by"]) => {
    if (next === of.by) return;
    if (next === "hand") return set({ of: { by: "hand", products: [] }, order: "picked" }, "picked by hand");
    if (next === "conditions") return set({ of: { by: "conditions", join: "all", conditions: [] } }, "by conditions");
    const first = profiles.find(({ field, options }) => isOwn(field) && options > 1 && options < 50);
    return set({ of: { by: "value", field: first?.field.key ?? "category" } }, "one for each value");
  };
  return (
    <div className="grid max-w-3xl grid-cols-[110px_minmax(0,1fr)] gap-x-4 gap-y-3">
      <span className={label}>Name</span>
      <div className="flex flex-col gap-1">
        <TextControl
          name="Name of the collection"
          value={name}
          longest={200}
          set={(text) => set({ name: text.trim(), ...follow(collection, name, text.trim()) }, `renamed to “${text}”`)}
        />
        <Translations
          of="Name of the collection"
          others={collection.names}
          set={(names, language) => set({ names }, `name in ${language}`)}
        />
      </div>
      <span className={label}>Address</span>
      <SlugField folder="/collections/" slug={collection.slug} set={(slug) => set({ slug }, `address ${slug}`)} />
      <span className={label}>Products</span>
      <div className="flex flex-col gap-2.5">
        <Choice
          label="Which products belong to the collection"
          value={of.by}
          options={[
            { value: "conditions", label: "by their values" },
            { value: "hand", label: "picked by hand" },
            { value: "value", label: "one for each value of a field" },
          ]}
          set={by}
        />
        {of.by === "conditions" ? (
          <>
            {of.conditions.length > 1 ? (
              <Choice
                label="How the conditions combine"
                value={of.join}
                options={[
                  { value: "all", label: "all of these apply to one variant" },
                  { value: "any", label: "any of these applies" },
                ]}
                set={(join) => set({ of: { ...of, join } }, join === "all" ? "all conditions" : "any condition")}
              />
            ) : null}
            <Conditions
              conditions={of.conditions}
              within={of.join === "all" ? within : []}
              set={(conditions, words) => set({ of: { ...of, conditions } }, words)}
            />
          </>
        ) : of.by === "hand" ? (
          <HandPicks picked={of.products} set={(products, words) => set({ of: { ...of, products } }, words)} />
        ) : (
          <label className="flex items-center gap-2 text-[13px]">
            A collection for each value of
            <select
              className="select select-sm w-48"
              aria-label="Field with a collection for each value"
              value={of.field}
              onChange={(event) =>
                set({ of: { by: "value", field: event.target.value } }, "for each value of a different field")
              }
            >
              {profiles
                .filter(({ field, options }) => isOwn(field) && options > 0 && options <= 500)
                .map(({ field, options }) => (
                  <option key={field.key} value={field.key}>
                    {field.name} ({options})
                  </option>
                ))}
            </select>
          </label>
        )}
        {answer && of.by !== "value" ? (
          <p className="text-[13px]" role="status">
            <b className={answer.outOf === 0 ? "text-error" : ""}>{answer.outOf.toLocaleString("en")}</b>{" "}
            {answer.outOf === 1 ? "product" : "products"}
            {answer.products.length > 0 ? `: ${answer.products.map(({ title }) => title).join(", ")}` : ""}
            {answer.outOf > answer.products.length ? " …" : ""}
          </p>
        ) : null}
      </div>
      <span className={label}>Text above</span>
      <Suspense fallback={<p className="text-quiet">Loading…</p>}>
        <RichText
          label="Text above the products"
          html={collection.html}
          save={(html) => set({ html: html === "<p></p>" ? "" : html }, "text changed")}
        />
      </Suspense>
      <span className={label}>Order</span>
      <select
        className="select select-sm w-56"
        aria-label="Sort order of the collection"
        value={collection.order}
        onChange={(event) => set({ order: event.target.value }, "sort order")}
      >
        <option value="">Shop’s order</option>
        {of.by === "hand" ? <option value="picked">Picked order</option> : null}
        {profiles.flatMap(({ field }) => [
          <option key={field.key} value={field.key}>
            {field.name}, ascending
          </option>,
          <option key={`-${field.key}`} value={`-${field.key}`}>
            {field.name}, descending
          </option>,
        ])}
      </select>
      <span />
      <RemoveLink
        words="Remove this collection"
        run={() => {
          pages.getState().apply(removeCollection(collection));
          navigate(`/shops/${shop.slug}/pages/collections`);
        }}
      />
    </div>
  );
}
