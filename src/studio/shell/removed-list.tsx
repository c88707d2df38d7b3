import { useRemoved } from "../api.ts";
import { restoreRemoved } from "./tried.ts";

const day = new Intl.DateTimeFormat("en-GB", { dateStyle: "medium" });

/** The day of removal. @param at ISO 8601 */
export const removalDay = (at: string): string => day.format(new Date(at));

interface Props {
  /** Where they are listed. */
  path: string;
  /** Where one of them is. */
  pathOf(slug: string): string;
  /** Refetches the lists, including this one, after restoring. */
  changed(): Promise<unknown>;
  title: string;
  className?: string;
}

/** Removed things that can be restored; nothing if there are none. */
export function RemovedList({ path, pathOf, changed, title, className = "" }: Props) {
  const { data: removed } = useRemoved(path);
  if (!removed || removed.length === 0) return null;
  return (
    <section aria-label={title} className={className}>
      <h2 className="mb-1 font-semibold">{title}</h2>
      <p className="mb-2 text-[13px] text-quiet">You can restore each for 30 days.</p>
      <ul className="divide-y divide-hair rounded-box border border-hair">
        {removed.map(({ slug, name, removedAt }) => (
          <li key={slug} className="flex items-center gap-3 px-3 py-1.5">
            <span className="min-w-0 flex-1">
              <span className="block truncate">{name}</span>
              <span className="block text-[13px] text-quiet">{removalDay(removedAt)}</span>
            </span>
            <button
              type="button"
              className="btn btn-sm"
              aria-label={`Restore ${name}`}
              onClick={() => void restoreRemoved(pathOf(slug), changed)}
            >
              Restore
            </button>
          </li>
        ))}
      </ul>
    </section>
  );
}
