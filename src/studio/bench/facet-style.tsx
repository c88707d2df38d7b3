import { useState } from "react";
import { Link } from "react-router";
import { useStore } from "zustand";
import { addStyle, spokenToken, withoutValue, withValue } from "../../core/look/edit.ts";
import { emptyLook } from "../../core/look/empty-look.ts";
import type { LookDocument } from "../../core/look/look-schema.ts";
import { type TokenValues, tokenSettingOf } from "../../core/look/resolve.ts";
import type { TokenState } from "../../core/look/value.ts";
import { setOptionStyle, setOverride, takeAsStyle } from "../../core/panel/edit.ts";
import { partsOfFacet } from "../../core/panel/look/parts-of.ts";
import type { FacetRow } from "../../core/panel/panel-schema.ts";
import { freeId } from "../../core/panel/row-id.ts";
import type { Band } from "../../core/settings/band.ts";
import { statesOfPart } from "../../storefront/panel/part-at.ts";
import { type StyleTarget, targetIn } from "../look/look-context.ts";
import { useAddLook } from "../look/make-look.ts";
import { PartCard } from "../look/part-card.tsx";
import type { DocumentStore } from "../shell/document-store.ts";
import { openDocument } from "../shell/documents.ts";
import { useOpenShop, useShopSettings } from "../shell/shop-context.ts";
import { useLookStores } from "../shell/use-looks.ts";
import { useBench, usePanel } from "./bench-context.ts";

/** The scopes of a card's values. */
const whoms = { facet: "This facet only", style: "As an option style", look: "Whole look" } as const;
type Whom = keyof typeof whoms;

interface Props {
  row: FacetRow;
  title: string;
  /** The band to style. */
  band: Band;
  /** The part and state shown first. */
  part?: string;
  state?: TokenState;
}

/** The look of one facet: an option style, and its own overrides; or the look itself, for everything drawn in it. */
export function FacetStyle(props: Props) {
  const { shop } = useOpenShop();
  const ofShop = useShopSettings((settings) => settings.look);
  const slug = usePanel((state) => state.document.look) ?? ofShop;
  const stores = useLookStores(shop.slug, slug === undefined ? [] : [slug]);
  // Survives the creation of a first look, which changes the card's data.
  const [whom, setWhom] = useState<Whom>("facet");
  if (!stores) return <p className="px-9 py-2 text-quiet">Loading the look…</p>;
  const store = slug === undefined ? undefined : stores[slug];
  return store ? (
    <Styled {...props} whom={whom} turnTo={setWhom} store={store} slug={slug ?? ""} />
  ) : (
    <Apart {...props} whom={whom} turnTo={setWhom} look={emptyLook("")} slug={undefined} store={undefined} />
  );
}

interface Turned extends Props {
  whom: Whom;
  turnTo(whom: Whom): void;
}

function Styled({ store, ...props }: Turned & { store: DocumentStore<LookDocument>; slug: string }) {
  return <Apart {...props} look={useStore(store, ({ document }) => document)} store={store} />;
}

function Apart({
  row,
  title,
  band,
  look,
  slug,
  store,
  part: firstPart,
  state: firstState = "rest",
  whom,
  turnTo: setWhom,
}: Turned & { look: LookDocument; slug: string | undefined; store: DocumentStore<LookDocument> | undefined }) {
  const { shop } = useOpenShop();
  const panel = useBench().panel;
  const lookToSet = useLookToSet(store);
  const parts = partsOfFacet(row);
  const [shown, setShown] = useState({ part: firstPart ?? parts[0] ?? "option", state: firstState });
  const { apply } = panel.getState();
  const style = look.styles.find(({ id }) => id === row.style);
  const apart: TokenValues = row.look ?? {};
  const put = (values: TokenValues, words: string) => apply(setOverride(row.id, values, words), true);
  const ownTarget: StyleTarget = {
    look: { ...look, values: { ...look.values, ...style?.values, ...apart } },
    sets: (token) => apart[token.name]?.[band] !== undefined,
    set(token, value) {
      const around = { values: { ...look.values, ...style?.values } };
      const base = { ...apart, [token.name]: apart[token.name] ?? tokenSettingOf(around, token) };
      put(withValue(base, token, band, value), `${title}: ${spokenToken(token)}`);
    },
    reset: (token) => put(withoutValue(apart, token, band), `${title}: ${spokenToken(token)} reset`),
  };
  const target =
    whom === "facet" || !store || (whom === "style" && !style)
      ? ownTarget
      : targetIn(store, look, { band, scheme: "light", style: whom === "style" ? style?.id : undefined });
  const turnTo = async (next: Whom) => {
    if (next !== "facet") {
      const set = await lookToSet();
      if (!set) return;
      // The facet's overrides become a style that any facet can use.
      if (next === "style" && !style) {
        const id = freeId(set.getState().document.styles, "style");
        set.getState().apply(addStyle(id, title, apart));
        apply(takeAsStyle(row.id, id, `${title}: option style ${title}`));
      }
    }
    setWhom(next);
  };
  const count = Object.keys(apart).length;
  return (
    <div className="flex flex-col gap-2 text-[13px]">
      <label className="flex items-center gap-2">
        <span className="w-26 flex-none text-quiet">Option style</span>
        <select
          className="select select-xs flex-1"
          aria-label={`Option style of ${title}`}
          value={style?.id ?? ""}
          onChange={(event) => {
            const name = look.styles.find(({ id }) => id === event.target.value)?.name ?? "none";
            apply(setOptionStyle(row.id, event.target.value || undefined, `${title}: option style ${name}`));
            if (event.target.value === "" && whom === "style") setWhom("facet");
          }}
        >
          <option value="">none</option>
          {look.styles.map(({ id, name }) => (
            <option key={id} value={id}>
              {name}
            </option>
          ))}
        </select>
        {slug === undefined ? null : (
          <Link className="link flex-none" to={`/shops/${shop.slug}/look/${slug}`}>
            Open the look
          </Link>
        )}
      </label>
      <div className="flex items-center gap-2">
        <fieldset className="join" aria-label="What the changes apply to">
          {(Object.keys(whoms) as Whom[]).map((one) => (
            <button
              key={one}
              type="button"
              className={`btn join-item btn-xs ${one === whom ? "btn-primary" : ""}`}
              aria-pressed={one === whom}
              onClick={() => void turnTo(one)}
            >
              {whoms[one]}
            </button>
          ))}
        </fieldset>
        {count > 0 ? (
          <button type="button" className="link" onClick={() => put({}, `${title}: reset to its look`)}>
            Reset {count}
          </button>
        ) : null}
      </div>
      {whom === "style" && style ? (
        <p className="text-quiet">Changes show on every facet with the style “{style.name}”.</p>
      ) : null}
      <PartCard
        target={target}
        band={band}
        scheme="light"
        part={shown.part}
        state={statesOfPart(shown.part).includes(shown.state) ? shown.state : "rest"}
        pick={(part, state) => setShown({ part, state })}
        {...(whom === "look" ? {} : { among: parts })}
      />
    </div>
  );
}

/** The look that a style or shared value is written to: the panel's, or a first one, created now. */
function useLookToSet(
  store: DocumentStore<LookDocument> | undefined,
): () => Promise<DocumentStore<LookDocument> | undefined> {
  const { shop } = useOpenShop();
  const { include } = useBench();
  const add = useAddLook();
  return async () => {
    if (store) return store;
    const slug = await add(emptyLook(shop.name));
    if (slug === undefined) return undefined;
    const made = await openDocument(shop.slug, "look", slug);
    include(made);
    return made;
  };
}
