import type { ComponentType } from "preact";
import { useEffect, useRef, useState } from "preact/hooks";
import { searchAddress } from "../../core/page/page-list.ts";
import type { OffersProps } from "./search-offers.tsx";
import type { Around } from "./shop-frame.tsx";

/** The shop's search: a plain form. What offers something while it is typed into comes with the first focus. */
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
          // Where it does not come the form still searches.
          if (!offers)
            import("./search-offers.tsx").then(
              ({ Offers: View }) => setOffers({ View }),
              () => {},
            );
        }}
      />
      {offers && input.current ? <offers.View around={around} input={input.current} /> : null}
    </form>
  );
}
