import { ArrowRight, Check, Circle, TriangleAlert } from "lucide-react";
import { useEffect, useState } from "react";
import { Link } from "react-router";
import useSWR from "swr";
import type { ShopOverview } from "../../core/wire/overview.ts";
import { type ApiError, request, shopPath } from "../api.ts";
import { Fault } from "../shell/alert.tsx";
import { Commands } from "../shell/commands.tsx";
import { useOpenShop } from "../shell/shop-context.ts";
import { Strip } from "../shell/strip.tsx";
import { shopViews } from "../shell/views.ts";
import { type State, type WorkStep, workSteps } from "./work-steps.ts";

const when = new Intl.DateTimeFormat("en", { dateStyle: "medium", timeStyle: "short" });

/** A shop at a glance: the steps of the work, with what is done, what is open, and where it is done. */
export function OverviewView() {
  const { shop } = useOpenShop();
  const { data, error } = useSWR<ShopOverview, ApiError>(`${shopPath(shop.slug)}/overview`, request<ShopOverview>, {
    revalidateOnMount: true,
    // Whoever comes back within a moment has done something meanwhile.
    dedupingInterval: 0,
  });
  const since = useSince(shop.slug, data?.steps);
  const steps = data ? workSteps(data) : [];
  const open = steps.filter(({ state }) => state === "open").length;
  return (
    <div className="flex h-full flex-col bg-base-200">
      <Strip views={shopViews(shop.slug)} />
      <main className="min-h-0 flex-1 overflow-auto">
        <div className="mx-auto w-full max-w-3xl px-6 py-10">
          <h1 className="text-3xl">{shop.name}</h1>
          <p className="mb-6 text-quiet" role="status">
            {data
              ? `${open === 0 ? "Nothing is open" : `${open} of ${steps.length} steps have something open`}${since}.`
              : "Counting …"}
          </p>
          <Fault text={error?.message} />
          <ol className="divide-y divide-hair overflow-hidden rounded-box border border-hair bg-base-100">
            {steps.map((step) => (
              <StepRow key={step.title} step={step} base={`/shops/${encodeURIComponent(shop.slug)}`} />
            ))}
          </ol>
          {data?.edition ? (
            <p className="mt-4 text-[13px] text-quiet">
              Edition {data.edition.n} was published on {when.format(new Date(data.edition.createdAt))}
              {data.edition.note === "" ? "" : `: ${data.edition.note}`}
            </p>
          ) : null}
        </div>
      </main>
      <Commands stores={[]} />
    </div>
  );
}

const marks: Record<State, typeof Check> = { done: Check, open: TriangleAlert, next: Circle };
const colours: Record<State, string> = { done: "text-success", open: "text-error", next: "text-quiet" };
const words: Record<State, string> = { done: "Done", open: "Something is open", next: "Not begun" };

function StepRow({ step: { title, to, state, says, asks }, base }: { step: WorkStep; base: string }) {
  const Mark = marks[state];
  return (
    <li>
      <Link to={base + to} className="group flex items-center gap-4 px-5 py-3.5 hover:bg-sand">
        <Mark size={18} className={`flex-none ${colours[state]}`} role="img" aria-label={words[state]} />
        <span className="w-28 flex-none font-display text-lg font-semibold">{title}</span>
        <span className="min-w-0 flex-1">
          <span className="block tabular-nums">{says}</span>
          {asks === "" ? null : <span className="block text-[13px] text-quiet tabular-nums">{asks}</span>}
        </span>
        <ArrowRight size={16} className="flex-none text-quiet group-hover:text-base-content" aria-hidden />
      </Link>
    </li>
  );
}

/** What was done since this browser had the shop open the last time, in words that go on a sentence. */
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
  return more > 0 ? `; ${more} ${more === 1 ? "step was" : "steps were"} done since you looked here last` : "";
}
