import { useParams } from "react-router";
import { DocumentFrame } from "../shell/document-frame.tsx";
import { NotHere } from "../shell/not-here.tsx";
import { useOpenShop } from "../shell/shop-context.ts";
import { FieldBook } from "./field-book.tsx";
import { bookFields, FieldList } from "./field-list.tsx";
import { useBook, useSwatchWorker } from "./use-book.ts";

/** The swatch book: the swatch of each value, uncertain ones, and those that could be confused. */
export function SwatchView() {
  const { shop: slug = "", field: asked } = useParams();
  const { profiles } = useOpenShop();
  const { store, error } = useBook(slug);
  const worker = useSwatchWorker();
  const fields = bookFields(profiles);
  const field = fields.find((one) => one.key === asked) ?? fields[0];
  if (error) return <NotHere title="Something went wrong" message={error.message} />;
  if (!store || !worker)
    return <div className="grid h-full place-items-center text-quiet">Loading the swatch book…</div>;
  return (
    <DocumentFrame store={store} what="The swatch book was">
      <main className="flex min-h-0 flex-1 max-md:flex-col max-md:overflow-y-auto">
        <FieldList fields={fields} current={field?.key} />
        {field ? (
          <FieldBook key={field.key} field={field} store={store} worker={worker} />
        ) : (
          <p className="p-8 text-quiet">No field of this catalogue has values that could have a colour or a picture.</p>
        )}
      </main>
    </DocumentFrame>
  );
}
