import { useOpenShop } from "../shell/shop-context.ts";
import { CatalogueFrame } from "./catalogue-frame.tsx";
import { FieldTable } from "./field-table.tsx";

/** The catalogue: its fields, their reach, and their values. */
export function CatalogueView() {
  const { profiles } = useOpenShop();
  return (
    <CatalogueFrame>
      <div className="min-h-0 flex-1 overflow-auto">
        <FieldTable profiles={profiles} />
      </div>
    </CatalogueFrame>
  );
}
