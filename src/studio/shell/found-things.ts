import { useEffect, useState } from "react";
import type { NavigateFunction } from "react-router";
import { countsOf } from "../../core/engine/engine.ts";
import type { Facet } from "../../core/engine/question.ts";
import { emptySelection } from "../../core/engine/selection.ts";
import { suggestFacet } from "../../core/panel/suggest/suggest.ts";
import type { Action } from "./action.ts";
import { pageName } from "./page-names.ts";
import type { OpenShop } from "./shop-context.ts";
import { whenThere } from "./when-there.ts";

const none: readonly Action[] = [];
/** Number of products listed at once, and letters from which they are searched. */
const mostProducts = 6;
const fewestLetters = 2;
/** Number of values of a field that are listed: a longer list is searched in the swatch book. */
const mostValues = 200;

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

/** An action for each value of a field whose options have colours, which leads to its colours in the swatch book. */
export function useColourActions(open: OpenShop | undefined, navigate: NavigateFunction): readonly Action[] {
  const [actions, setActions] = useState(none);
  useEffect(() => {
    const fields = open?.profiles.filter((profile) => suggestFacet(profile).display === "swatches") ?? [];
    if (!open || fields.length === 0) return;
    let over = false;
    const base = `/shops/${encodeURIComponent(open.shop.slug)}`;
    const facets = fields.map(({ field }): Facet => ({ field: field.key, mode: "any" }));
    void Promise.resolve(open.engine.ask(countsOf(facets))).then((answer) => {
      if (over) return;
      setActions(
        fields.flatMap(({ field: { key, name } }) =>
          (answer.facets[key]?.options ?? []).slice(0, mostValues).map(({ label }) => ({
            name: `Colours of ${label} in ${name}`,
            also: "swatch",
            run: () => {
              void navigate(`${base}/swatches/${encodeURIComponent(key)}`);
              whenThere(`input[aria-label="${CSS.escape(`Colours of ${label}`)}"]`, (input) => {
                if (input instanceof HTMLInputElement) input.select();
                input.scrollIntoView({ block: "center" });
              });
            },
          })),
        ),
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
