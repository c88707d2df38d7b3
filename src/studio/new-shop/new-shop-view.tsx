import { yupResolver } from "@hookform/resolvers/yup";
import { FileUp } from "lucide-react";
import { useState } from "react";
import { useForm } from "react-hook-form";
import { useNavigate } from "react-router";
import { object, string } from "yup";
import type { Mapping } from "../../core/catalogue/read.ts";
import { request, type ShopSummary } from "../api.ts";
import { Strip } from "../shell/strip.tsx";
import { ColumnTable } from "./column-table.tsx";
import { ProblemList } from "./problem-list.tsx";
import { usePreview } from "./use-preview.ts";

const largest = 20 * 1024 * 1024;
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
    if (chosen.size > largest) {
      refuse(`${chosen.name} is ${(chosen.size / 1024 / 1024).toFixed(1)} MB, and 20 MB is the most. Split it, or leave columns out.`);
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
          {preview?.fault ? <Alert text={faultText(preview.fault)} /> : null}

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
                {preview.fault ? null : <ProblemList problems={preview.problems} count={preview.problemCount} />}
              </div>
            </form>
          ) : null}
        </div>
      </main>
    </div>
  );
}

function DropZone({ file, busy, take }: { file: File | undefined; busy: boolean; take(file: File | undefined): void }) {
  const [over, setOver] = useState(false);
  return (
    <label
      className={`flex cursor-pointer items-center gap-4 rounded-box border-2 border-dashed bg-base-100 px-6 has-focus-visible:outline-2 has-focus-visible:outline-offset-2 has-focus-visible:outline-[#b4561b] ${file ? "py-3" : "py-10"} ${over ? "border-accent" : "border-secondary/40 hover:border-secondary"}`}
      onDragOver={(event) => {
        event.preventDefault();
        setOver(true);
      }}
      onDragLeave={() => setOver(false)}
      onDrop={(event) => {
        event.preventDefault();
        setOver(false);
        take(event.dataTransfer.files[0]);
      }}
    >
      <FileUp size={26} aria-hidden className="flex-none text-secondary" />
      <span className="flex-1">
        <span className="block font-medium">{file ? file.name : "Choose a catalogue file, or drop it here"}</span>
        <span className="text-[13px] text-quiet">
          {busy
            ? "Reading …"
            : file
              ? `${(file.size / 1024).toLocaleString("en", { maximumFractionDigits: 0 })} kB`
              : "CSV, JSON-LD or JSON lines, up to 20 MB"}
        </span>
      </span>
      <input
        type="file"
        accept=".csv,.tsv,.txt,.json,.jsonld,.ndjson,.jsonl,text/csv,application/json"
        className="sr-only"
        aria-label="Catalogue file"
        onChange={(event) => take(event.target.files?.[0])}
      />
      <span className="btn btn-sm" aria-hidden>
        {file ? "Another file" : "Choose"}
      </span>
    </label>
  );
}

function Alert({ text }: { text: string }) {
  return (
    <p role="alert" className="mt-4 rounded-lg border border-error/40 bg-error/10 px-4 py-2.5 text-error">
      {text}
    </p>
  );
}

function faultText({ row, message }: { row?: number; message: string }): string {
  return row === undefined ? message : `Row ${row}: ${message}`;
}

/** `autumn-range_2026.csv` reads “Autumn range 2026”. */
function nameFrom(file: string): string {
  const name = file
    .replace(/\.\w+$/, "")
    .replaceAll(/[_-]+/g, " ")
    .trim();
  return name === "" ? "" : name[0].toUpperCase() + name.slice(1);
}
