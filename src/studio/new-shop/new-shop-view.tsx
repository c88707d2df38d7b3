import { yupResolver } from "@hookform/resolvers/yup";
import { useState } from "react";
import { useForm } from "react-hook-form";
import { useNavigate } from "react-router";
import { object, string } from "yup";
import { problemText } from "../../core/catalogue/problem.ts";
import type { Mapping } from "../../core/catalogue/read.ts";
import { request, type ShopSummary } from "../api.ts";
import { Alert } from "../shell/alert.tsx";
import { Strip } from "../shell/strip.tsx";
import { ColumnTable } from "./column-table.tsx";
import { DropZone, tooLarge } from "./drop-zone.tsx";
import { ProblemList } from "./problem-list.tsx";
import { usePreview } from "./use-preview.ts";

const currencies = Intl.supportedValuesOf("currency");
const form = object({
  name: string().trim().required("Give the shop a name.").max(100, "The name has more than 100 characters."),
  currency: string().required().oneOf(currencies, "Choose a currency from the list."),
});

/** A new shop from a catalogue file: choose it, see what it holds, create the shop. */
export function NewShopView() {
  const [file, setFile] = useState<File | undefined>(undefined);
  const { preview, busy, trouble, read, refuse } = usePreview();
  const [sendTrouble, setSendTrouble] = useState<string | undefined>(undefined);
  const { register, handleSubmit, setValue, getValues, formState } = useForm({
    resolver: yupResolver(form),
    defaultValues: { name: "", currency: "EUR" },
  });
  const navigate = useNavigate();

  const take = (chosen: File | undefined) => {
    if (!chosen) return;
    setSendTrouble(undefined);
    setFile(chosen);
    const trouble = tooLarge(chosen);
    if (trouble) {
      refuse(trouble);
      return;
    }
    if (getValues("name") === "") setValue("name", nameFrom(chosen.name));
    read(chosen);
  };
  const create = handleSubmit(async ({ name, currency }) => {
    if (!file || !preview) return;
    setSendTrouble(undefined);
    const body = new FormData();
    body.set("file", file);
    body.set("name", name);
    body.set("currency", currency);
    body.set("mapping", JSON.stringify(preview.mapping));
    try {
      const shop = await request<ShopSummary>("/shops", { method: "POST", body });
      navigate(`/shops/${encodeURIComponent(shop.slug)}/bench`);
    } catch (error) {
      setSendTrouble((error as Error).message);
    }
  });
  const remap = (mapping: Mapping) => file && read(file, mapping);
  const ready = preview !== undefined && preview.fault === undefined && !busy;

  return (
    <div className="flex h-full flex-col bg-base-200">
      <Strip />
      <main className="min-h-0 flex-1 overflow-auto">
        <div className={`mx-auto w-full px-6 py-8 ${preview ? "max-w-6xl" : "max-w-2xl"}`}>
          <h1 className="mb-1 text-3xl">New shop</h1>
          <p className="mb-5 text-quiet">
            Bring the catalogue as a CSV file with a header row, one row a variant, or as schema.org products. Nothing is stored until you create the
            shop.
          </p>
          <DropZone file={file} busy={busy} take={take} />
          {trouble ? <Alert text={trouble} /> : null}
          {preview?.fault ? <Alert text={problemText(preview.fault)} /> : null}

          {preview && preview.columns.length > 0 ? (
            <form onSubmit={create} noValidate className="mt-6 grid grid-cols-[minmax(0,1fr)_300px] items-start gap-6">
              <ColumnTable preview={preview} busy={busy} remap={remap} />
              <div className="sticky top-4 grid gap-4">
                <label className="grid gap-1">
                  <span className="font-medium">Shop name</span>
                  <input type="text" className="input w-full" {...register("name")} aria-invalid={formState.errors.name !== undefined} />
                  {formState.errors.name ? <span className="text-[13px] text-error">{formState.errors.name.message}</span> : null}
                </label>
                <label className="grid gap-1">
                  <span className="font-medium">Currency of the prices</span>
                  <select className="select w-full" {...register("currency")}>
                    {currencies.map((code) => (
                      <option key={code} value={code}>
                        {code}
                      </option>
                    ))}
                  </select>
                </label>
                {preview.fault ? null : (
                  <div>
                    <p className="font-display text-lg font-semibold tabular-nums">
                      {preview.products.toLocaleString("en")} products, {preview.variants.toLocaleString("en")} variants
                    </p>
                    <p className="mt-1 text-quiet">
                      First panel:{" "}
                      {preview.facets.length === 0 ? "empty, since no field parts these products" : preview.facets.map(({ name }) => name).join(", ")}
                    </p>
                  </div>
                )}
                {sendTrouble ? <Alert text={sendTrouble} /> : null}
                <button type="submit" className="btn btn-primary" disabled={!ready || formState.isSubmitting}>
                  {formState.isSubmitting ? "Creating …" : "Create the shop"}
                </button>
                {preview.fault ? null : <ProblemList problems={preview.problems} />}
              </div>
            </form>
          ) : null}
        </div>
      </main>
    </div>
  );
}

/** `autumn-range_2026.csv` reads “Autumn range 2026”. */
function nameFrom(file: string): string {
  const name = file
    .replace(/\.\w+$/, "")
    .replaceAll(/[_-]+/g, " ")
    .trim();
  return name === "" ? "" : name[0].toUpperCase() + name.slice(1);
}
