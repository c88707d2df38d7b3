import type { NotePlace } from "../../core/api/preview.ts";

/** A place that a note can be pinned to, and the element that it is about, if it is about one. */
export interface FoundPlace {
  place: Omit<NotePlace, "page" | "x" | "y">;
  element: HTMLElement | undefined;
}

const nothing: FoundPlace = { place: { words: "" }, element: undefined };

/** Longest name of a place, in characters. */
const maxWords = 200;

/** The visible text of an element, without counts. */
function wordsOf(element: Element | null | undefined): string {
  const copy = element?.cloneNode(true);
  if (!(copy instanceof Element)) return "";
  for (const count of copy.querySelectorAll(".zt-count, .zt-picked")) count.remove();
  return (copy.textContent ?? "").replace(/\s+/g, " ").trim().slice(0, maxWords);
}

const optionsIn = (row: Element): HTMLInputElement[] => [
  ...row.querySelectorAll<HTMLInputElement>("input[type=checkbox], input[type=radio]"),
];

/** The card or table row of a product’s link. */
const cardOf = (link: Element): HTMLElement | undefined =>
  link.closest<HTMLElement>(".zs-card, tr, .zs-product") ?? undefined;

const productLink = (card: Element, base: string): HTMLAnchorElement | undefined =>
  [...card.querySelectorAll("a")].find((link) => link.pathname.startsWith(`${base}/products/`));

/**
 * The place that an element of the page belongs to: an option, else a facet or piece, else a product, else no more than its place.
 * @param base prefix of the addresses of the preview’s pages
 */
export function placeOf(target: Element, base: string): FoundPlace {
  const row = target.closest<HTMLElement>("[data-row]");
  const panel = target.closest<HTMLElement>("[data-panel]")?.dataset.panel;
  if (row && panel !== undefined) {
    const id = row.dataset.row ?? "";
    const facet =
      row.querySelector(".zt-body")?.getAttribute("aria-label") ?? wordsOf(row.querySelector("h2, h3")) ?? "";
    const label = target.closest<HTMLElement>("label");
    const input = label?.querySelector("input");
    if (label && input && optionsIn(row).includes(input))
      return {
        place: { words: `${facet}: ${wordsOf(label)}`, panel, row: id, option: input.value },
        element: label,
      };
    return { place: { words: facet || wordsOf(row), panel, row: id }, element: row };
  }
  const card = cardOf(target);
  const link = card && productLink(card, base);
  if (card && link)
    return {
      place: { words: wordsOf(card.querySelector("h3, a")), product: link.pathname.slice(base.length) },
      element: card,
    };
  return nothing;
}

/** The element that a note on this page is about; undefined if it is about a place, or the element isn’t here. */
export function elementOf({ panel, row, option, product }: NotePlace, base: string): HTMLElement | undefined {
  if (panel !== undefined && row !== undefined) {
    const drawn = document.querySelector<HTMLElement>(
      `[data-panel="${CSS.escape(panel)}"] [data-row="${CSS.escape(row)}"]`,
    );
    if (!drawn || option === undefined) return drawn ?? undefined;
    const input = optionsIn(drawn).find(({ value }) => value === option);
    return input?.closest<HTMLElement>("label") ?? drawn;
  }
  if (product === undefined) return undefined;
  const link = [...document.querySelectorAll("a")].find(({ pathname }) => pathname === base + product);
  return link && cardOf(link);
}

/** Whether a note is about an element rather than a mere place. */
export const isAnchored = ({ row, product }: NotePlace): boolean => row !== undefined || product !== undefined;
