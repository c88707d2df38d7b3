import { useState } from "react";
import type { ShopSummary } from "../../core/wire/shop.ts";
import { sendJson, shopPath } from "../api.ts";
import { EntryMenu } from "../shell/entry-menu.tsx";
import { removeWithWayBack, tried } from "../shell/tried.ts";

interface Props {
  shop: Pick<ShopSummary, "slug" | "name" | "currency">;
  /** Lists the shops anew. */
  changed(): Promise<void>;
}

const currencies = Intl.supportedValuesOf("currency");
const currencyNames = new Intl.DisplayNames("en", { type: "currency" });

/** What can be done with a whole shop: its name and currency, and taking it away. */
export function ShopMenu({ shop, changed }: Props) {
  const [editing, setEditing] = useState(false);
  const path = shopPath(shop.slug);
  if (editing)
    return (
      <ShopForm
        shop={shop}
        close={() => setEditing(false)}
        save={(changes) => tried(() => sendJson("PUT", path, changes), changed)}
      />
    );
  return (
    <EntryMenu
      title={shop.name}
      className="size-8"
      entries={() => [
        { label: "Name and currency", run: () => setEditing(true) },
        { label: "Remove", run: () => void removeWithWayBack(path, shop.name, changed) },
      ]}
    />
  );
}

interface FormProps {
  shop: Props["shop"];
  close(): void;
  save(changes: { name: string; currency: string }): Promise<boolean>;
}

function ShopForm({ shop, close, save }: FormProps) {
  const [name, setName] = useState(shop.name);
  const [currency, setCurrency] = useState(shop.currency);
  return (
    <form
      aria-label={`Name and currency of ${shop.name}`}
      className="flex items-center gap-2"
      onSubmit={(event) => {
        event.preventDefault();
        void save({ name: name.trim(), currency }).then((saved) => saved && close());
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
      <button type="submit" className="btn btn-primary btn-sm" disabled={name.trim() === ""}>
        Save
      </button>
    </form>
  );
}
