import { ArrowRight, Check, Circle, TriangleAlert } from "lucide-react";
import { useEffect, useMemo, useState } from "react";
import { Link } from "react-router";
import useSWR from "swr";
import type { ShopOverview } from "../../core/api/overview.ts";
import { dateTimeFormat } from "../../core/document/date-time.ts";
import { languagesOf } from "../../core/shop/languages.ts";
import { type ApiError, request, shopPath } from "../api.ts";
import { LanguageFields } from "../controls/language-fields.tsx";
import { Fault } from "../shell/alert.tsx";
import { Commands } from "../shell/commands.tsx";
import { HistoryButtons } from "../shell/history-buttons.tsx";
import { Saved } from "../shell/saved.tsx";
import { useOpenShop, useShopSettings } from "../shell/shop-context.ts";
import { Strip } from "../shell/strip.tsx";
import { shopViews } from "../shell/views.ts";
import { type WorkStep, workSteps } from "./work-steps.ts";

/** Overview of a shop: what to do next in each step of the work; finished steps are collapsed. */
export function OverviewView() {
  const { shop, settings } = useOpenShop();
  const stores = useMemo(() => [settings], [settings]);
  const { data, error } = useSWR<ShopOverview, ApiError>(`${shopPath(shop.slug)}/overview`, request<ShopOverview>, {
    revalidateOnMount: true,
    // Coming back within a moment must still refetch.
    dedupingInterval: 0,
  });
  const languages = useShopSettings((settings) => languagesOf(settings).join(", "));
  const since = useSince(shop.slug, data?.steps);
  const steps = data ? workSteps(data) : [];
  const [todo, done] = [steps.filter(({ tasks }) => tasks.length > 0), steps.filter(({ tasks }) => tasks.length === 0)];
  const tasks = todo.reduce((sum, one) => sum + one.tasks.length, 0);
  const base = `/shops/${encodeURIComponent(shop.slug)}`;
  return (
    <div className="flex h-full flex-col bg-base-200">
      <Strip views={shopViews(shop.slug)}>
        <Saved stores={stores} />
        <HistoryButtons stores={stores} />
      </Strip>
      <main className="min-h-0 flex-1 overflow-auto">
        <div className="mx-auto w-full max-w-3xl px-6 py-10">
          <h1 className="text-3xl">{shop.name}</h1>
          <p className="mb-6 text-quiet" role="status">
            {data
              ? `${tasks === 0 ? "Nothing to do" : `${tasks} ${tasks === 1 ? "thing" : "things"} to do`}${since}.`
              : "Counting…"}
          </p>
          <Fault text={error?.message} />
          {todo.length > 0 ? (
            <ol aria-label="To do" className={list}>
              {todo.map((step) => (
                <Todo key={step.title} step={step} base={base} />
              ))}
            </ol>
          ) : null}
          {done.length > 0 ? (
            <details className="mt-4">
              <summary className="cursor-pointer py-1 text-quiet">
                Done: {done.map(({ title }) => title).join(", ")}
              </summary>
              <ul aria-label="Done" className={`mt-2 ${list}`}>
                {done.map((step) => (
                  <Done key={step.title} step={step} base={base} />
                ))}
              </ul>
            </details>
          ) : null}
          <details className="mt-4">
            <summary className="cursor-pointer py-1 text-quiet">Languages: {languages}</summary>
            <div className="mt-2">
              <LanguageFields />
            </div>
          </details>
          {data?.edition ? (
            <p className="mt-4 text-[13px] text-quiet">
              Edition {data.edition.n} was published on {dateTimeFormat.format(new Date(data.edition.createdAt))}
              {data.edition.note === "" ? "" : `: ${data.edition.note}`}
            </p>
          ) : null}
        </div>
      </main>
      <Commands stores={stores} />
    </div>
  );
}

const list = "divide-y divide-hair overflow-hidden rounded-box border border-hair bg-base-100";
const name = "w-28 flex-none font-display text-lg font-semibold";

/** A step with its tasks, each a link. */
const Todo = ({ step: { title, says, tasks }, base }: { step: WorkStep; base: string }) => (
  <li className="flex items-baseline gap-4 px-5 py-3">
    <span className={name}>{title}</span>
    <div className="min-w-0 flex-1">
      <ul>
        {tasks.map(({ words, to, isNew }) => (
          <li key={words}>
            <Link to={base + to} className="group flex items-center gap-2 rounded-md py-0.5 hover:underline">
              {isNew ? (
                <Circle size={15} className="flex-none text-quiet" aria-hidden />
              ) : (
                <TriangleAlert size={15} className="flex-none text-error" aria-hidden />
              )}
              <span className="min-w-0 font-medium tabular-nums">{words}</span>
              <ArrowRight
                size={15}
                className="ms-auto flex-none text-quiet group-hover:text-base-content"
                aria-hidden
              />
            </Link>
          </li>
        ))}
      </ul>
      <p className="text-[13px] text-quiet tabular-nums">{says}</p>
    </div>
  </li>
);

/** A finished step. */
const Done = ({ step: { title, to, says }, base }: { step: WorkStep; base: string }) => (
  <li>
    <Link to={base + to} className="group flex items-center gap-4 px-5 py-3 hover:bg-sand">
      <Check size={18} className="flex-none text-success" aria-hidden />
      <span className={name}>{title}</span>
      <span className="min-w-0 flex-1 tabular-nums">{says}</span>
      <ArrowRight size={16} className="flex-none text-quiet group-hover:text-base-content" aria-hidden />
    </Link>
  </li>
);

/** The number of steps since this browser last opened the shop, as part of a sentence. */
function useSince(shop: string, steps: number | undefined): string {
  const [before, setBefore] = useState<number | undefined>(undefined);
  useEffect(() => {
    if (steps === undefined) return;
    const key = `steps ${shop}`;
    const last = localStorage.getItem(key);
    setBefore(last === null ? undefined : Number(last));
    localStorage.setItem(key, String(steps));
  }, [shop, steps]);
  const more = before === undefined || steps === undefined ? 0 : steps - before;
  return more > 0 ? `; ${more} ${more === 1 ? "change" : "changes"} since your last visit` : "";
}
