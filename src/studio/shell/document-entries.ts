import { useNavigate } from "react-router";
import { useSWRConfig } from "swr";
import { documentPath, orderPath, removedPath, sendJson, shopPath } from "../api.ts";
import { moved, withoutEntry } from "../controls/lists.ts";
import type { Entry } from "./entry-menu.tsx";
import { useOpenShop } from "./shop-context.ts";
import { removeWithUndo, tried } from "./tried.ts";

/** Kinds of which a shop has many, and their views. */
export const manyViews = { panel: "panels", look: "look" } as const;
export type ManyKind = keyof typeof manyViews;

/** Refetches the lists of a shop's documents of a kind, including removed ones. */
export function useListAnew(kind: ManyKind): () => Promise<unknown> {
  const { slug } = useOpenShop().shop;
  const { mutate } = useSWRConfig();
  return () => Promise.all([mutate(shopPath(slug)), mutate(removedPath(slug, kind))]);
}

interface Says {
  /** Duplicates it under a name. */
  duplicate(name: string): void;
  /** Why the open one can't be removed; undefined if it can. */
  keep: string | undefined;
  /** Called when a different one becomes the first. @param name of that one */
  newFirst?(name: string): string | undefined;
}

/** The actions on the open document, computed on request: duplicate, move, remove. */
export function useDocumentEntries(
  kind: ManyKind,
  open: { slug: string; name: string },
  { duplicate, keep, newFirst }: Says,
): () => Entry[] {
  const { shop } = useOpenShop();
  const navigate = useNavigate();
  const listAnew = useListAnew(kind);
  const all = kind === "panel" ? shop.panels : shop.looks;
  const at = all.findIndex(({ slug }) => slug === open.slug);
  const move = (label: string, by: number): Entry[] => {
    if (!all[at + by]) return [];
    const next = moved(all, at, at + by);
    const run = () =>
      void tried(() => sendJson("PUT", orderPath(shop.slug, kind), { slugs: next.map(({ slug }) => slug) }), listAnew);
    return [{ label, run, note: noteOf(next) }];
  };
  const noteOf = (next: typeof all) => (next[0] && next[0] !== all[0] && newFirst ? newFirst(next[0].name) : undefined);
  const remove = () => {
    const next = all[at + 1] ?? all[at - 1];
    const to = (slug: string) => void navigate(`/shops/${shop.slug}/${manyViews[kind]}/${slug}`);
    const leave = () => to(next?.slug ?? "");
    return removeWithUndo(documentPath(shop.slug, kind, open.slug), open.name, listAnew, leave, () => to(open.slug));
  };
  return () => [
    // A name has at most 100 characters.
    { label: "Duplicate", run: () => duplicate(`${open.name.slice(0, 94)} copy`) },
    ...move("Move to the left", -1),
    ...move("Move to the right", 1),
    keep === undefined
      ? { label: "Remove", run: () => void remove(), note: noteOf(withoutEntry(all, at)) }
      : { label: `Remove: ${keep}` },
  ];
}
