import { Link } from "react-router";
import { documentPath, removedPath, useRemoved } from "../api.ts";
import { type ManyKind, manyViews, useListAnew } from "./document-entries.ts";
import { removalDay } from "./removed-list.tsx";
import { useOpenShop } from "./shop-context.ts";
import { Strip } from "./strip.tsx";
import { restoreRemoved } from "./tried.ts";
import { shopViews } from "./views.ts";

/** Says that a shop has no such panel or look. One that was removed can be brought back. */
export function NoDocument({ kind, slug }: { kind: ManyKind; slug: string }) {
  const { shop } = useOpenShop();
  const listAnew = useListAnew(kind);
  const was = useRemoved(removedPath(shop.slug, kind)).data?.find((one) => one.slug === slug);
  return (
    <div className="flex h-full flex-col">
      <Strip views={shopViews(shop.slug)} />
      <main className="mx-auto grid max-w-lg flex-1 place-content-center gap-3 px-6">
        <h1 className="text-3xl">{was ? `${was.name} was removed` : "This page doesn’t exist"}</h1>
        <p className="text-quiet">
          {was
            ? `It was removed on ${removalDay(was.removedAt)}. You can restore it for 30 days.`
            : `${shop.name} has no ${kind} at “${slug}”.`}
        </p>
        <div className="mt-3 flex gap-2">
          {was ? (
            <button
              type="button"
              className="btn btn-primary btn-sm"
              onClick={() => void restoreRemoved(documentPath(shop.slug, kind, slug), listAnew)}
            >
              Restore
            </button>
          ) : null}
          <Link to={`/shops/${shop.slug}/${manyViews[kind]}`} className="btn btn-sm">
            The shop’s {kind}s
          </Link>
        </div>
      </main>
    </div>
  );
}
