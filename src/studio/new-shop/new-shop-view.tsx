import { type FormEvent, useState } from "react";
import { useNavigate } from "react-router";
import type { ShopSummary } from "../../core/api/shop.ts";
import { fallbackLanguage } from "../../core/shop/languages.ts";
import { wordLanguages } from "../../storefront/words/word-languages.ts";
import { ImportForm } from "../import/import-form.tsx";
import { useReader } from "../import/use-reader.ts";
import { useSender } from "../import/use-sender.ts";
import { Strip } from "../shell/strip.tsx";

const currencies = Intl.supportedValuesOf("currency");
const languageNames = new Intl.DisplayNames("en", { type: "language" });
const unknown = { fields: [], reading: [] };

/** A new shop from a catalogue file: choose it, see what it holds, create the shop. */
export function NewShopView() {
  const reader = useReader(unknown);
  const sender = useSender(reader);
  const { preview, busy } = reader;
  const navigate = useNavigate();
  const [name, setName] = useState("");
  const [isUnnamed, setUnnamed] = useState(false);
  const [chosen, setChosen] = useState<string>();
  const [spoken, setSpoken] = useState<string>();
  // The default currency is the one detected in the file.
  const currency = chosen ?? currencies.find((code) => code === preview?.currency) ?? "EUR";
  const language = spoken ?? preview?.language ?? fallbackLanguage;

  const take = (file: File) => {
    sender.forget();
    if (name === "") setName(nameFrom(file.name));
    reader.take(file);
  };
  const create = async (event: FormEvent) => {
    event.preventDefault();
    setUnnamed(name.trim() === "");
    if (name.trim() === "") return;
    const shop = await sender.send<ShopSummary>("/shops", "Creating the shop", {
      name: name.trim(),
      currency,
      language,
    });
    if (shop) navigate(`/shops/${encodeURIComponent(shop.slug)}/panels`);
  };
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
            value={name}
            maxLength={100}
            onChange={({ target }) => setName(target.value)}
            aria-invalid={isUnnamed}
          />
          {isUnnamed ? <span className="text-[13px] text-error">Enter a name for the shop.</span> : null}
        </label>
        <label className="grid gap-1">
          <span className="font-medium">Currency of the prices</span>
          <select className="select w-full" value={currency} onChange={({ target }) => setChosen(target.value)}>
            {currencies.map((code) => (
              <option key={code} value={code}>
                {code}
              </option>
            ))}
          </select>
        </label>
        <label className="grid gap-1">
          <span className="font-medium">Shop language</span>
          <select className="select w-full" value={language} onChange={({ target }) => setSpoken(target.value)}>
            {[...new Set<string>([...wordLanguages, language])].map((tag) => (
              <option key={tag} value={tag}>
                {languageNames.of(tag)}
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

/** `autumn-range_2026.csv` becomes “Autumn range 2026”. */
function nameFrom(file: string): string {
  const name = file
    .replace(/\.\w+$/, "")
    .replaceAll(/[_-]+/g, " ")
    .trim();
  return (name.slice(0, 1).toUpperCase() + name.slice(1)).slice(0, 100);
}
