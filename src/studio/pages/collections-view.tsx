import { useNavigate, useParams } from "react-router";
import { addCollection } from "../../core/page/edit.ts";
import { slugOf } from "../../core/page/move-address.ts";
import { collectionAddress } from "../../core/page/page-list.ts";
import type { Collection } from "../../core/page/pages-schema.ts";
import { freeId } from "../../core/panel/row-id.ts";
import { useOpenShop, usePages } from "../shell/shop-context.ts";
import { CollectionForm } from "./collection-form.tsx";
import { PagesFrame } from "./pages-frame.tsx";
import { justCreated } from "./slug-field.tsx";
import { TwoPart } from "./two-part.tsx";

/** The shop's collections, and their conditions. */
export function CollectionsView() {
  const { shop: slug = "", collection: asked } = useParams();
  const { pages } = useOpenShop();
  const collections = usePages((document) => document.collections);
  const navigate = useNavigate();
  const current = collections.find(({ id }) => id === asked) ?? collections[0];
  const to = (id: string) => `/shops/${slug}/pages/collections/${id}`;
  return (
    <PagesFrame>
      <TwoPart
        label="Collections"
        entries={collections.map((one) => ({ id: one.id, name: one.name, note: noteOf(one) }))}
        current={current?.id}
        to={to}
        empty="A collection is a page of products that belong together: chosen by their values, or picked by hand."
        addWords="New collection"
        add={() => {
          const name = `Collection ${collections.length + 1}`;
          const id = freeId(collections, "collection");
          pages.getState().apply(addCollection(newCollection(id, name)));
          navigate(to(id), { state: justCreated });
        }}
      >
        {current ? <CollectionForm key={current.id} collection={current} /> : null}
      </TwoPart>
    </PagesFrame>
  );
}

const newCollection = (id: string, name: string): Collection => ({
  id,
  slug: slugOf(name),
  name,
  html: "",
  of: { by: "conditions", join: "all", conditions: [] },
  order: "",
});

const noteOf = ({ of, slug }: Collection): string => `${collectionAddress(slug)}${of.by === "value" ? "-…" : ""}`;
