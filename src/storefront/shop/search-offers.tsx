import { useEffect, useRef, useState } from "preact/hooks";
import { productAddress, searchAddress } from "../../core/page/page-list.ts";
import type { Suggestions } from "../../core/page/suggestions.ts";
import { money } from "../panel/format.ts";
import type { Around } from "./around.ts";

const pause = 120;
const list = "zs-offers";

/** A suggestion and its target. */
interface Offer {
  key: string;
  to: string;
  text: string;
  /** Its kind, or its price. */
  note: string;
  image?: string | undefined;
}

export interface OffersProps {
  around: Around;
  /** The search field. */
  input: HTMLInputElement;
}

/**
 * Suggestions below the search field, as in the combobox pattern with a list box of the ARIA Authoring Practices:
 * arrow keys move, Enter opens, Escape closes, and the field keeps the focus.
 */
export function Offers({ around, input }: OffersProps) {
  const { say, shop } = around;
  const [found, setFound] = useState<{ asked: string; suggestions: Suggestions } | undefined>(undefined);
  const [at, setAt] = useState(-1);
  const offers = found ? offersOf(found.suggestions, found.asked, around) : [];
  const open = offers.length > 0;

  useFetched(input, shop.suggest, (next) => {
    setFound(next);
    setAt(-1);
  });
  useEffect(() => {
    input.setAttribute("role", "combobox");
    input.setAttribute("aria-autocomplete", "list");
    input.setAttribute("aria-controls", list);
    input.setAttribute("aria-expanded", String(open));
    if (offers[at]) input.setAttribute("aria-activedescendant", `${list}-${at}`);
    else input.removeAttribute("aria-activedescendant");
  });
  const now = useRef({ offers, at });
  now.current = { offers, at };
  useEffect(() => {
    const press = (event: KeyboardEvent) => {
      const { offers: all, at: place } = now.current;
      const ways: Record<string, () => void> = {
        // The field itself is one more position, between the last and the first.
        ArrowDown: () => setAt(((place + 2) % (all.length + 1)) - 1),
        ArrowUp: () => setAt(((place + 1 + all.length) % (all.length + 1)) - 1),
        Escape: () => setFound(undefined),
        Enter: () => {
          const chosen = all[place];
          if (chosen) location.assign(chosen.to);
          else input.form?.requestSubmit();
        },
      };
      const way = all.length > 0 ? ways[event.key] : undefined;
      if (!way) return;
      event.preventDefault();
      way();
    };
    const leave = () => setFound(undefined);
    input.addEventListener("keydown", press);
    input.addEventListener("blur", leave);
    return () => {
      input.removeEventListener("keydown", press);
      input.removeEventListener("blur", leave);
    };
  }, [input]);

  return (
    <div id={list} class="zs-offers" role="listbox" aria-label={say("suggestions")} hidden={!open}>
      {offers.map(({ key, to, text, note, image }, n) => (
        // biome-ignore lint/a11y/useKeyWithClickEvents: the field keeps the focus and has the keys
        // biome-ignore lint/a11y/useFocusableInteractive: the field keeps the focus
        <div
          key={key}
          id={`${list}-${n}`}
          role="option"
          aria-selected={n === at}
          onPointerDown={(event) => event.preventDefault()}
          onClick={() => location.assign(to)}
        >
          {image ? <img src={image} alt="" width="36" height="36" /> : null}
          <span>{text}</span>
          <small>{note}</small>
        </div>
      ))}
    </div>
  );
}

/** Fetches suggestions a moment after each change of the field. */
function useFetched(
  input: HTMLInputElement,
  place: string,
  take: (found: { asked: string; suggestions: Suggestions } | undefined) => void,
): void {
  const taken = useRef(take);
  taken.current = take;
  useEffect(() => {
    let timer: ReturnType<typeof setTimeout> | undefined;
    let stop = new AbortController();
    const ask = async (asked: string) => {
      const response = await fetch(place + encodeURIComponent(asked), { signal: stop.signal });
      if (response.ok) taken.current({ asked, suggestions: await response.json() });
    };
    const typed = () => {
      clearTimeout(timer);
      stop.abort();
      stop = new AbortController();
      const asked = input.value.trim();
      if (asked === "") return taken.current(undefined);
      // Without an answer nothing is suggested, and the form still searches.
      timer = setTimeout(() => ask(asked).catch(() => {}), pause);
    };
    if (document.activeElement === input && input.value.trim() !== "") typed();
    input.addEventListener("input", typed);
    return () => {
      clearTimeout(timer);
      stop.abort();
      input.removeEventListener("input", typed);
    };
  }, [input, place]);
}

/** The suggestions in order: pages, values, products, searches like this one, and the search itself. */
function offersOf(
  { pages, values, products, near }: Suggestions,
  asked: string,
  { base, say, shop, language }: Around,
): Offer[] {
  const searchFor = (text: string) => `${base}${searchAddress}?q=${encodeURIComponent(text)}`;
  return [
    ...pages.map(({ address, kind, name }) => ({
      key: address,
      to: base + address,
      text: name,
      note: say(kindWords[kind]),
    })),
    ...values.map(({ address, facet, label }) => ({
      key: `value ${address}`,
      to: base + address,
      text: label,
      note: facet,
    })),
    ...products.map((card) => ({
      key: `product ${card.id}`,
      to: base + productAddress(card),
      text: card.title,
      note: card.price === undefined ? "" : money(card.price, shop.currency, language),
      image: card.image,
    })),
    ...near.map((text) => ({ key: `near ${text}`, to: searchFor(text), text, note: say("didYouMean") })),
    ...(products.length > 0
      ? [{ key: "all", to: searchFor(asked), text: say("allResults", { words: asked }), note: "" }]
      : []),
  ];
}

const kindWords = {
  shop: "allProducts",
  collection: "kindCollection",
  category: "kindCategory",
  brand: "kindBrand",
  tag: "kindTag",
  search: "search",
  article: "kindArticle",
} as const;
