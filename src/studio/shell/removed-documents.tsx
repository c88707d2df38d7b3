import { documentPath, removedPath } from "../api.ts";
import { type ManyKind, useListAnew } from "./document-entries.ts";
import { RemovedList } from "./removed-list.tsx";
import { useOpenShop } from "./shop-context.ts";

/** The shop's removed documents of a kind that can be restored. */
export function RemovedDocuments({ kind }: { kind: ManyKind }) {
  const { slug } = useOpenShop().shop;
  return (
    <RemovedList
      title={`Removed ${kind}s`}
      path={removedPath(slug, kind)}
      pathOf={(one) => documentPath(slug, kind, one)}
      changed={useListAnew(kind)}
      className="mt-3 border-t border-hair pt-3"
    />
  );
}
