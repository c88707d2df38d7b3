import { proxy, type Remote, wrap } from "comlink";
import { useCallback, useEffect, useRef, useState } from "react";
import useSWR from "swr";
import type { ShopVersion } from "../../core/api/shop-version.ts";
import type { Robust } from "../../core/rehearsal/robust.ts";
import type { Span } from "../../core/rehearsal/span.ts";
import type { Walk } from "../../core/rehearsal/walk.ts";
import { type ApiError, request, shopPath } from "../api.ts";
import type { EditionState } from "../editions/use-editions.ts";
import type { Order, RehearsalService, RehearsalStage } from "./rehearsal.worker.ts";

export type RemoteRehearsal = Remote<RehearsalService>;

/** A worker that sends shoppers, while the view is open. */
export function useWorker(): RemoteRehearsal | undefined {
  const [service, setService] = useState<RemoteRehearsal>();
  useEffect(() => {
    const worker = new Worker(new URL("./rehearsal.worker.ts", import.meta.url), { type: "module" });
    const remote = wrap<RehearsalService>(worker);
    setService(() => remote);
    return () => worker.terminate();
  }, []);
  return service;
}

/** Pages and panels of a state of the shop, refetched whenever the view is opened. */
export const useStand = (shop: string, of: EditionState | undefined) =>
  useSWR<ShopVersion, ApiError>(of === undefined ? null : `${shopPath(shop)}/stand?of=${of}`, request<ShopVersion>, {
    revalidateOnMount: true,
    // Somebody coming from the bench has just changed something.
    dedupingInterval: 0,
    revalidateOnFocus: false,
  });

/** Address of the catalogue of a state of the shop, in binary form. */
export const dataOf = (shop: string, of: EditionState): string =>
  `/api${shopPath(shop)}/data?text${of === "draft" ? "" : `&edition=${of}`}`;

/** A rehearsal under way or done. */
export interface Run {
  order: Order;
  stage: RehearsalStage | undefined;
  walks: readonly Walk[];
  running: boolean;
  /** See {@link fewestChoices}; undefined until it is computed, or if it takes too long. */
  fewest: number | undefined;
  /** How the success rate depends on the assumptions, once computed. */
  span: Span | undefined;
  trouble: string | undefined;
}

/** Minimum interval between updates of the figures, in ms. */
const beat = 200;

/** Runs an order when it changes; figures are updated as they become more precise. */
export function useRun(service: RemoteRehearsal | undefined, order: Order | undefined): Run | undefined {
  const [run, setRun] = useState<Run>();
  const walks = useRef<Walk[]>([]);
  useEffect(() => {
    if (!service || !order) return;
    let over = false;
    walks.current = [];
    setRun({
      order,
      stage: undefined,
      walks: [],
      running: true,
      fewest: undefined,
      span: undefined,
      trouble: undefined,
    });
    const put = (change: Partial<Run>) => over || setRun((now) => now && { ...now, ...change });
    const timer = setInterval(() => put({ walks: [...walks.current] }), beat);
    const work = async () => {
      put({ stage: await service.open(order) });
      await service.run(
        order,
        proxy((some: Walk[]) => {
          if (!over) walks.current.push(...some);
        }),
      );
      put({ walks: [...walks.current], running: false });
      if (!over) put({ span: await service.span(order) });
      if (!over) put({ fewest: await service.fewest(order, walks.current) });
    };
    work()
      .catch((error: Error) => put({ running: false, trouble: error.message }))
      .finally(() => clearInterval(timer));
    return () => {
      over = true;
      clearInterval(timer);
    };
  }, [service, order]);
  return run;
}

/** Cancels the present task; its results so far stay. */
export function useStop(service: RemoteRehearsal | undefined): () => void {
  return useCallback(() => void service?.stop(), [service]);
}

/**
 * The difference of the draft from an edition with the same shoppers, once both were sent; undefined until then and
 * without one.
 */
export function useAgainst(
  service: RemoteRehearsal | undefined,
  run: Run | undefined,
  edition: { n: EditionState; stand: ShopVersion } | undefined,
  shop: string,
): Robust | undefined {
  const [found, setFound] = useState<{ of: Order; robust: Robust }>();
  const { order, running = true } = run ?? {};
  const { n, stand } = edition ?? {};
  useEffect(() => {
    if (!service || !order || running || n === undefined || !stand) return;
    let over = false;
    service.against({ ...order, data: dataOf(shop, n), stand }, order).then(
      (robust) => over || setFound({ of: order, robust }),
      // A failed comparison is not reported here; the comparison below says why.
      () => undefined,
    );
    return () => {
      over = true;
    };
  }, [service, order, running, n, stand, shop]);
  return found?.of === order ? found?.robust : undefined;
}
