import { yupResolver } from "@hookform/resolvers/yup";
import { useEffect } from "react";
import { useForm } from "react-hook-form";
import { useNavigate } from "react-router";
import { object, string } from "yup";
import type { ShopSummary } from "../../core/api/shop.ts";
import { ImportForm } from "../import/import-form.tsx";
import { useReader } from "../import/use-reader.ts";
import { useSender } from "../import/use-sender.ts";
import { Strip } from "../shell/strip.tsx";

const currencies = Intl.supportedValuesOf("currency");
const form = object({
  name: string().trim().required("Enter a name for the shop.").max(100, "The name has more than 100 characters."),
  currency: string().required().oneOf(currencies, "Choose a currency from the list."),
});
const unknown = { fields: [], reading: [] };

/** A new shop from a catalogue file: choose it, see what it holds, create the shop. */
export function NewShopView() {
  const reader = useReader(unknown);
  const sender = useSender(reader);
  const { preview, busy } = reader;
  const { register, handleSubmit, setValue, getValues, formState } = useForm({
    resolver: yupResolver(form),
    defaultValues: { name: "", currency: "EUR" },
  });
  const navigate = useNavigate();
  const isChosen = formState.dirtyFields.currency === true;
  const said = preview?.currency;
  useEffect(() => {
    if (said !== undefined && !isChosen && currencies.includes(said)) setValue("currency", said);
  }, [said, isChosen, setValue]);

  const take = (file: File) => {
    sender.forget();
    if (getValues("name") === "") setValue("name", nameFrom(file.name));
    reader.take(file);
  };
  const create = handleSubmit(async (values) => {
    const shop = await sender.send<ShopSummary>("/shops", "Creating the shop", values);
    if (shop) navigate(`/shops/${encodeURIComponent(shop.slug)}/panels`);
  });
  const ready = preview !== undefined && preview.fault === undefined && !busy;

  return (
    <form onSubmit={create} noValidate className="flex h-full flex-col bg-base-200">
      <Strip />
      <ImportForm
        title="New shop"
        lead="Choose your product list: a CSV file with a header row and one row per variant, or schema.org products. Check the columns, then create the shop. Nothing is saved before that."
        reader={reader}
        sender={sender}
        take={take}
        actions={
          <>
            {preview?.fault ? null : <FirstPanel facets={preview?.facets ?? []} />}
            <button type="submit" className="btn btn-primary" disabled={!ready}>
              Create the shop
            </button>
          </>
        }
      >
        <label className="grid gap-1">
          <span className="font-medium">Shop name</span>
          <input
            type="text"
            className="input w-full"
            {...register("name")}
            aria-invalid={formState.errors.name !== undefined}
          />
          {formState.errors.name ? (
            <span className="text-[13px] text-error">{formState.errors.name.message}</span>
          ) : null}
        </label>
        <label className="grid gap-1">
          <span className="font-medium">Currency of the prices</span>
          <select
            className="select w-full"
            {...register("currency", {
              onChange: ({ target }) => setValue("currency", target.value, { shouldDirty: true }),
            })}
          >
            {currencies.map((code) => (
              <option key={code} value={code}>
                {code}
              </option>
            ))}
          </select>
        </label>
      </ImportForm>
    </form>
  );
}

/** The facets of the first panel, each with its reasons. */
function FirstPanel({ facets }: { facets: readonly { field: string; name: string; why: string }[] }) {
  if (facets.length === 0)
    return (
      <p className="-mt-3 text-quiet">
        First panel: empty. No column here would help shoppers narrow the products down.
      </p>
    );
  return (
    <details className="-mt-3 text-[13px]">
      <summary className="cursor-pointer text-quiet">
        First panel: {facets.map(({ name }) => name).join(", ")}. <span className="link">Why these</span>
      </summary>
      <dl className="mt-2 grid gap-2">
        {facets.map(({ field, name, why }) => (
          <div key={field}>
            <dt className="font-medium">{name}</dt>
            <dd className="text-quiet">{why}</dd>
          </div>
        ))}
      </dl>
    </details>
  );
}

/** `autumn-range_2026.csv` reads “Autumn range 2026”. */
function nameFrom(file: string): string {
  const name = file
    .replace(/\.\w+$/, "")
    .replaceAll(/[_-]+/g, " ")
    .trim();
  return name.slice(0, 1).toUpperCase() + name.slice(1);
}
