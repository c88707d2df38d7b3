import { Link } from "react-router";
import type { Finding } from "../../core/findings/finding.ts";
import { fixEdit } from "../../core/findings/fix.ts";
import { useOpenShop } from "../shell/shop-context.ts";
import { useBench } from "./bench-context.ts";

/** All problems and risks, each with its fix if there is one. */
export function FindingList({ findings, close }: { findings: readonly Finding[]; close(): void }) {
  const { shop, profileOf } = useOpenShop();
  const { panel: store, session } = useBench();
  if (findings.length === 0) return <p className="p-2 text-success">No problems found.</p>;
  return (
    <ul className="divide-y divide-hair text-[13px]">
      {findings.map((finding) => (
        <li
          key={finding.words}
          className="flex items-center gap-3 px-2 py-1.5 hover:bg-sand"
          onPointerEnter={() => session.setState({ marked: finding.row })}
        >
          <span className="min-w-0 flex-1">{finding.words}</span>
          {finding.silentField ? (
            <Link
              className="link flex-none"
              to={`/shops/${encodeURIComponent(shop.slug)}/catalogue?field=${encodeURIComponent(finding.silentField)}`}
            >
              See which
            </Link>
          ) : null}
          {finding.row ? (
            <button
              type="button"
              className="link flex-none"
              onClick={() => {
                session.setState({ unfolded: finding.row });
                close();
              }}
            >
              Settings
            </button>
          ) : null}
          {finding.remedy ? (
            <button
              type="button"
              className="btn btn-xs flex-none"
              onClick={() => {
                const edit = fixEdit(store.getState().document, finding, profileOf);
                if (edit) store.getState().apply(edit);
              }}
            >
              {finding.remedy.words}
            </button>
          ) : null}
        </li>
      ))}
    </ul>
  );
}
