import { useEffect, useRef } from "preact/hooks";
import { type Perform, queryTo } from "../panel/panel-state.ts";
import type { ListingState } from "./listing-state.ts";

interface Props {
  state: ListingState;
  perform: Perform;
  /** More products load automatically near the end. */
  scroll: boolean;
}

/** A link that shows more products below the present ones; works without scripts too. */
export function More({ state, perform, scroll }: Props) {
  const { answer, page, say, layout } = state;
  const link = useRef<HTMLAnchorElement>(null);
  const left = answer.total - answer.products.length;
  const next = useRef(() => {});
  next.current = () => perform({ do: "turn", page: page + 1 });
  // biome-ignore lint/correctness/useExhaustiveDependencies: watched anew with every page, since the end may still be in sight
  useEffect(() => {
    if (!scroll || !link.current) return;
    const watch = new IntersectionObserver(
      ([entry]) => {
        if (entry?.isIntersecting) next.current();
      },
      { rootMargin: "400px" },
    );
    watch.observe(link.current);
    return () => watch.disconnect();
  }, [scroll, answer]);
  return (
    <div class="zs-more">
      <p class="zt-hint">{say("shownOf", { n: answer.products.length, total: answer.total })}</p>
      {left > 0 ? (
        <a
          ref={link}
          class="zt-more"
          href={queryTo(state, { ...state, page: page + 1 })}
          onClick={(event) => {
            event.preventDefault();
            next.current();
          }}
        >
          {say("showMore", { n: Math.min(left, layout.size) })}
        </a>
      ) : null}
    </div>
  );
}
