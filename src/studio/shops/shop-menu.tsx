import { useEffect, useState } from "react";
import type { ShopSummary } from "../../core/api/shop.ts";
import { setLanguages } from "../../core/shop/edit.ts";
import { readLanguages } from "../../core/shop/languages.ts";
import { sendJson, shopPath } from "../api.ts";
import { Fault } from "../shell/alert.tsx";
import { openDocument } from "../shell/documents.ts";
import { EntryMenu } from "../shell/entry-menu.tsx";
import { removeWithUndo, tried } from "../shell/tried.ts";

interface Props {
  shop: Pick<ShopSummary, "slug" | "name" | "currency">;
  /** Lists the shops anew. */
  changed(): Promise<void>;
}

const currencies = Intl.supportedValuesOf("currency");
const currencyNames = new Intl.DisplayNames("en", { type: "currency" });

/** The actions on a whole shop: its name and currency, and removal. */
export function ShopMenu({ shop, changed }: Props) {
  const [editing, setEditing] = useState(false);
  const path = shopPath(shop.slug);
  if (editing)
    return (
      <ShopForm
        shop={shop}
        close={() => setEditing(false)}
        save={({ languages, ...changes }) =>
          tried(async () => {
            await sendJson("PUT", path, changes);
            const store = await openDocument(shop.slug, "shop");
            store.getState().apply(setLanguages(languages));
          }, changed)
        }
      />
    );
  return (
    <EntryMenu
      title={shop.name}
      className="size-8"
      entries={() => [
        { label: "Name, currency and languages", run: () => setEditing(true) },
        { label: "Remove", run: () => void removeWithUndo(path, shop.name, changed) },
      ]}
    />
  );
}

interface FormProps {
  shop: Props["shop"];
  close(): void;
  save(changes: { name: string; currency: string; languages: string[] }): Promise<boolean>;
}

function ShopForm({ shop, close, save }: FormProps) {
  const [name, setName] = useState(shop.name);
  const [currency, setCurrency] = useState(shop.currency);
  const [languages, setLanguagesText] = useState<string | undefined>(undefined);
  // The shop's own document is loaded on demand.
  useEffect(() => {
    openDocument(shop.slug, "shop").then(
      (store) => setLanguagesText((now) => now ?? store.getState().document.languages.join(" ")),
      () => setLanguagesText((now) => now ?? ""),
    );
  }, [shop.slug]);
  const read = readLanguages(languages ?? "");
  return (
    <form
      aria-label={`Name, currency and languages of ${shop.name}`}
      className="absolute end-3 top-2 z-10 flex w-[560px] flex-wrap items-center gap-2 rounded-box border border-hair bg-base-100 p-3 text-start shadow-md"
      onSubmit={(event) => {
        event.preventDefault();
        if ("tags" in read)
          void save({ name: name.trim(), currency, languages: read.tags }).then((saved) => saved && close());
      }}
      onKeyDown={(event) => event.key === "Escape" && close()}
    >
      <input
        // biome-ignore lint/a11y/noAutofocus: it opens where it was asked for
        autoFocus
        className="input input-sm w-44"
        aria-label="Name"
        maxLength={100}
        value={name}
        onChange={(event) => setName(event.target.value)}
      />
      <select
        className="select select-sm w-24"
        aria-label="Currency"
        value={currency}
        onChange={(event) => setCurrency(event.target.value)}
      >
        {currencies.map((code) => (
          <option key={code} value={code} title={currencyNames.of(code)}>
            {code}
          </option>
        ))}
      </select>
      <input
        className="input input-sm w-36"
        aria-label="Languages besides the shop’s own, as tags"
        title="Languages besides the shop’s own, as tags like de or pt-BR"
        placeholder="de pt-BR"
        aria-invalid={"fault" in read}
        value={languages ?? ""}
        onChange={(event) => setLanguagesText(event.target.value)}
      />
      <button
        type="submit"
        className="ms-auto btn btn-primary btn-sm"
        disabled={name.trim() === "" || languages === undefined || "fault" in read}
      >
        Save
      </button>
      <Fault text={"fault" in read ? read.fault : undefined} className="w-full text-[13px]" />
    </form>
  );
}
