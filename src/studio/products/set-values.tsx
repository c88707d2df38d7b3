import { PencilLine } from "lucide-react";
import { useState } from "react";
import { type Field, isDerived } from "../../core/catalogue/field.ts";
import { cellValue } from "../../core/catalogue/mend/cell-value.ts";
import type { VariantQuery } from "../../core/engine/variants.ts";
import { useMender } from "../catalogue/use-mender.ts";
import { Fault } from "../shell/alert.tsx";
import { Popover } from "../shell/popover.tsx";
import { useOpenShop } from "../shell/shop-context.ts";

const most = 200_000;

/** Sets one field for all found products. */
export function SetValues({ query, products }: { query: VariantQuery; products: number }) {
  const { profiles } = useOpenShop();
  const [first, ...others] = profiles
    .map(({ field }) => field)
    .filter((field) => !isDerived(field) && field.role !== "product_id" && field.role !== "sku");
  return (
    <Popover
      label="Set a value for all that are found"
      placement="bottom-end"
      className="w-80 p-4"
      trigger={(props) => (
        <button type="button" {...props} className="btn btn-sm" disabled={products === 0 || products > most}>
          <PencilLine size={15} aria-hidden />{" "}
          {products > most ? `Set a value (for at most ${most.toLocaleString("en")} products)` : "Set a value"}
        </button>
      )}
    >
      {(close) =>
        first ? <SetForm query={query} products={products} fields={[first, ...others]} close={close} /> : null
      }
    </Popover>
  );
}

interface FormProps {
  query: VariantQuery;
  products: number;
  /** The fields that can be set. */
  fields: readonly [Field, ...Field[]];
  close(): void;
}

function SetForm({ query, products, fields, close }: FormProps) {
  const { desk } = useOpenShop();
  const [key, setKey] = useState(fields.find(({ role }) => role === "attribute")?.key ?? fields[0].key);
  const [text, setText] = useState("");
  const field = fields.find((one) => one.key === key) ?? fields[0];
  const mender = useMender(field);
  const [fault, setFault] = useState<string | undefined>(undefined);
  const read = cellValue(text, field);
  return (
    <form
      className="grid gap-3"
      onSubmit={async (event) => {
        event.preventDefault();
        if ("fault" in read) return setFault(read.fault);
        mender.setProducts(await desk.products(query), read.values);
        close();
      }}
    >
      <label className="grid gap-1">
        <span className="font-medium">Field</span>
        <select className="select select-sm w-full" value={key} onChange={(event) => setKey(event.target.value)}>
          {fields.map((one) => (
            <option key={one.key} value={one.key}>
              {one.name}
            </option>
          ))}
        </select>
      </label>
      <label className="grid gap-1">
        <span className="font-medium">Value</span>
        <input
          type="text"
          className="input input-sm w-full"
          value={text}
          aria-invalid={fault !== undefined}
          onChange={(event) => {
            setText(event.target.value);
            setFault(undefined);
          }}
        />
        <Fault text={fault} className="text-[13px]" />
        <span className="text-[13px] text-quiet">Separate several values with |. Leave empty to clear.</span>
      </label>
      <button type="submit" className="btn btn-primary btn-sm">
        Set it for {products.toLocaleString("en")} {products === 1 ? "product" : "products"}
      </button>
    </form>
  );
}
