import { Download } from "lucide-react";
import { Link, useParams } from "react-router";
import { shopPath } from "../api.ts";
import { useOpenShop } from "../shell/shop-context.ts";
import { Strip } from "../shell/strip.tsx";
import { shopViews } from "../shell/views.ts";
import { FieldTable } from "./field-table.tsx";

/** What the catalogue holds: its fields, how many products state them, and what they say. */
export function CatalogueView() {
  const { shop: slug = "" } = useParams();
  const { shop, index, profileOf } = useOpenShop();
  const profiles = index.catalogue.fields.flatMap((field) => profileOf(field.key) ?? []);
  return (
    <div className="flex h-full flex-col">
      <Strip views={shopViews(slug)} />
      <main className="min-h-0 flex-1 overflow-auto px-6 py-5">
        <div className="mb-4 flex items-baseline gap-4">
          <h1 className="text-2xl">{shop.name}</h1>
          <p className="text-quiet tabular-nums">
            {index.products.toLocaleString("en")} products, {index.variants.toLocaleString("en")} variants, {profiles.length} fields
          </p>
          <p className="ms-auto flex items-center gap-1.5 text-quiet">
            <Download size={15} aria-hidden /> Download as
            <a className="link" href={`/api${shopPath(slug)}/catalogue.csv`} download>
              CSV
            </a>
            or
            <a className="link" href={`/api${shopPath(slug)}/catalogue.jsonld`} download>
              JSON-LD
            </a>
          </p>
          <Link to="import" className="btn btn-sm self-center">
            Bring a newer file
          </Link>
        </div>
        <FieldTable profiles={profiles} />
      </main>
    </div>
  );
}
