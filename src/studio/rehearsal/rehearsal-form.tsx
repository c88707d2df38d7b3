import { useState } from "react";
import type { VisitColumns } from "../../core/rehearsal/visits.ts";
import { pageName } from "../shell/page-names.ts";
import { useAllPages, useOpenShop } from "../shell/shop-context.ts";
import type { VisitsRead } from "./rehearsal.worker.ts";
import { VisitsCard } from "./visits-card.tsx";
import type { Wishes } from "./wishes.ts";

const crowds = [500, 2000, 10_000];

interface Props {
  wishes: Wishes;
  change(next: Wishes): void;
  running: boolean;
  stop(): void;
  /** Applies shares of shoppers who know a field. */
  know(shares: Readonly<Record<string, number>>): void;
  /** Reads a list of real visits or choices. */
  readVisits(text: string, columns?: VisitColumns): Promise<VisitsRead>;
}

/** The page, the number of shoppers, and what they look for. */
export function RehearsalForm({ wishes, change, running, stop, know, readVisits }: Props) {
  const pages = useAllPages().filter(({ kind }) => kind !== "article" && kind !== "search");
  const { profiles } = useOpenShop();
  const hasReviews = profiles.some(({ field }) => field.role === "reviews");
  const [bringing, bring] = useState(false);
  const weighed = wishes.weighing === "even" || wishes.weighing === "reviews" ? wishes.weighing : "visits";
  return (
    <div className="flex flex-col gap-3">
      <label className="flex flex-col gap-1 text-[13px] text-quiet">
        Page
        <select
          className="select select-sm w-full text-base-content"
          value={wishes.address}
          onChange={(event) => change({ ...wishes, address: event.target.value })}
        >
          {pages.map((page) => (
            <option key={page.address} value={page.address}>
              {pageName(page)}
            </option>
          ))}
        </select>
      </label>
      <label className="flex flex-col gap-1 text-[13px] text-quiet">
        Trial shoppers
        <select
          className="select select-sm w-full text-base-content"
          value={wishes.shoppers}
          onChange={(event) => change({ ...wishes, shoppers: Number(event.target.value) })}
        >
          {crowds.map((n) => (
            <option key={n} value={n}>
              {n.toLocaleString("en")}
            </option>
          ))}
        </select>
      </label>
      <label className="flex flex-col gap-1 text-[13px] text-quiet">
        Each looks for one product
        <select
          className="select select-sm w-full text-base-content"
          value={bringing ? "visits" : weighed}
          onChange={({ target: { value } }) => {
            bring(value === "visits");
            if (value === "even" || value === "reviews") change({ ...wishes, weighing: value });
          }}
        >
          <option value="even">every product alike</option>
          <option value="reviews" disabled={!hasReviews}>
            the more reviews, the more often
          </option>
          <option value="visits">as real visitors did</option>
        </select>
      </label>
      {bringing || weighed === "visits" ? (
        <VisitsCard
          read={readVisits}
          know={know}
          use={(weights) => {
            bring(false);
            change({ ...wishes, weighing: weights });
          }}
        />
      ) : null}
      {running ? (
        <button type="button" className="btn btn-sm" onClick={stop}>
          Stop
        </button>
      ) : (
        <button
          type="button"
          className="btn btn-primary btn-sm"
          onClick={() => change({ ...wishes, seed: wishes.seed + 1 })}
        >
          Send other shoppers
        </button>
      )}
    </div>
  );
}
