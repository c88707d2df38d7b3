import { useEffect, useState } from "react";
import type { NavigateFunction } from "react-router";
import { emptySelection } from "../../core/engine/selection.ts";
import type { Action } from "./action.ts";
import { pageName } from "./page-names.ts";
import type { OpenShop } from "./shop-context.ts";

const none: readonly Action[] = [];
/** Number of products listed at once, and letters from which they are searched. */
const mostProducts = 6;
const fewestLetters = 2;

/** An action for each page of the open shop, which shows it beside the panel; none until they are listed. */
export function usePageActions(open: OpenShop | undefined, navigate: NavigateFunction): readonly Action[] {
  const [actions, setActions] = useState(none);
  useEffect(() => {
    if (!open) return;
    let over = false;
    const base = `/shops/${encodeURIComponent(open.shop.slug)}`;
    void open.desk.pageList(open.pages.getState().document).then((pages) => {
      if (over) return;
      setActions(
        pages.map((page) => ({
          name: `Show the page ${pageName(page)}`,
          also: page.address,
          run: () => void navigate(`${base}/panels?page=${encodeURIComponent(page.address)}`),
        })),
      );
    });
    return () => {
      over = true;
    };
  }, [open, navigate]);
  return actions;
}

/** An action for each of the first products found by what was typed, which shows it in the table of products. */
export function useProductActions(
  open: OpenShop | undefined,
  asked: string,
  navigate: NavigateFunction,
): readonly Action[] {
  const [actions, setActions] = useState(none);
  const text = asked.trim();
  useEffect(() => {
    setActions(none);
    const title = open?.profiles.find(({ field }) => field.role === "title" || field.titles)?.field.key;
    if (!open || title === undefined || text.length < fewestLetters) return;
    let over = false;
    const base = `/shops/${encodeURIComponent(open.shop.slug)}`;
    const query = { facets: [], selection: { ...emptySelection, text } };
    // Variants of one product follow each other.
    void open.desk.rows(query, 0, mostProducts * 4, [title]).then((rows) => {
      if (over) return;
      const titles = new Map(rows.map(({ product, cells }) => [product, cells[0]?.[0] ?? product]));
      setActions(
        [...titles].slice(0, mostProducts).map(([product, name]) => ({
          name: `Product ${name}`,
          run: () => void navigate(`${base}/catalogue/products?product=${encodeURIComponent(product)}`),
        })),
      );
    });
    return () => {
      over = true;
    };
  }, [open, text, navigate]);
  return actions;
}
