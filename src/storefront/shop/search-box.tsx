import type { ComponentType } from "preact";
import { useEffect, useRef, useState } from "preact/hooks";
import { searchAddress } from "../../core/page/page-list.ts";
import type { Around } from "./around.ts";
import type { OffersProps } from "./search-offers.tsx";

/** The shop's search: a plain form. Suggestions are loaded with the first focus. */
export function SearchBox({ around, words }: { around: Around; words: string }) {
  const { base, say } = around;
  const [offers, setOffers] = useState<{ View: ComponentType<OffersProps> } | undefined>(undefined);
  const input = useRef<HTMLInputElement>(null);
  useEffect(() => {
    if (input.current && document.activeElement !== input.current) input.current.value = words;
  }, [words]);
  return (
    <form class="zs-find" role="search" method="get" action={base + searchAddress}>
      <input
        ref={input}
        type="search"
        name="q"
        autocomplete="off"
        aria-label={say("searchShop")}
        placeholder={say("searchShop")}
        defaultValue={words}
        onFocus={() => {
          // Without suggestions the form still searches.
          if (!offers)
            import("./search-offers.tsx").then(
              ({ Offers: View }) => setOffers({ View }),
              () => {},
            );
        }}
      />
      <svg class="zs-lens" width="18" height="18" viewBox="0 0 18 18" aria-hidden="true">
        <circle cx="8" cy="8" r="5" fill="none" stroke="currentColor" stroke-width="2" />
        <path d="M12 12l4 4" stroke="currentColor" stroke-width="2" stroke-linecap="round" />
      </svg>
      {offers && input.current ? <offers.View around={around} input={input.current} /> : null}
    </form>
  );
}
