import { Plus } from "lucide-react";
import { useState } from "react";
import type { Scope } from "../../core/page/edit.ts";
import type { PanelOnPage } from "../../core/page/pages-schema.ts";
import { layoutAt, layoutOfKind } from "../../core/page/shown-page.ts";
import { emptyPanel } from "../../core/panel/panel.ts";
import type { PanelDocument } from "../../core/panel/panel-schema.ts";
import type { FilledRecipe } from "../../core/panel/suggest/recipes.ts";
import { pageKinds } from "../../core/profile/page-kinds.ts";
import { resolve } from "../../core/settings/band.ts";
import {
  fitsPage,
  type Placement,
  placementFacts,
  placementPictures,
  placements,
} from "../../core/settings/placement.ts";
import { pageKindNames, pageName } from "../shell/page-names.ts";
import { PlacementGlyph } from "../shell/placement-glyph.tsx";
import { Popover } from "../shell/popover.tsx";
import { RemovedDocuments } from "../shell/removed-documents.tsx";
import { useAllPages, useOpenShop } from "../shell/shop-context.ts";
import { useSession } from "./bench-context.ts";
import { CarryPanel } from "./carry-panel.tsx";
import { RecipeChoice, useRecipes } from "./recipe-choice.tsx";

/** Where a new panel can be placed. */
export interface Place {
  scope: Scope;
  /** In words, like “Collections”. */
  words: string;
  /** A page on which it is visible. */
  address: string;
  /** The panels there already. */
  standing(): readonly PanelOnPage[];
}

interface Props {
  /** The name that is offered. */
  name: string;
  make(document: PanelDocument, place: Place | undefined): void;
}

/** Creates a panel: its name, its pages, and its placement. */
export function NewPanel({ name, make }: Props) {
  return (
    <Popover
      label="New panel"
      className="w-[460px] p-3"
      trigger={(props) => (
        <button
          type="button"
          {...props}
          data-act="New panel"
          aria-label="New panel"
          title="New panel"
          className="grid w-9 place-items-center text-quiet hover:text-base-content"
        >
          <Plus size={16} aria-hidden />
        </button>
      )}
    >
      {(close) => (
        <>
          <Form
            name={name}
            make={(document, place) => {
              make(document, place);
              close();
            }}
          />
          <CarryPanel
            make={(document) => {
              make(document, undefined);
              close();
            }}
          />
          <RemovedDocuments kind="panel" />
        </>
      )}
    </Popover>
  );
}

function Form({ name, make }: Props) {
  const [called, setCalled] = useState(name);
  const [where, setWhere] = useState("page");
  const [placement, setPlacement] = useState<Placement>("left");
  const [recipe, setRecipe] = useState<FilledRecipe>();
  const found = useRecipes();
  const places = usePlaces();
  const place = places.find(({ key }) => key === where);
  const article = place?.isArticle === true;
  const fits = (one: Placement) => fitsPage(one, { isArticle: article, listing: !article });
  const fitting = fits(placement) ? placement : "article";
  const usual = {
    ...(recipe?.panel ?? emptyPanel(name)),
    name: called.trim() || name,
    placement: placementOf(fitting),
  };
  const start = (one: FilledRecipe | undefined) => {
    setRecipe(one);
    if (one) setPlacement(resolve(one.panel.placement, "wide"));
    // The name follows the recipe until it is typed.
    if (called === (recipe?.label ?? name)) setCalled(one?.label ?? name);
  };
  return (
    <form
      className="flex flex-col gap-2 text-[13px]"
      onSubmit={(event) => {
        event.preventDefault();
        make(usual, place);
      }}
    >
      <label className="flex flex-col gap-0.5">
        Name
        <input
          type="text"
          className="input input-sm w-full"
          value={called}
          maxLength={100}
          onChange={(event) => setCalled(event.target.value)}
        />
      </label>
      <RecipeChoice found={found} chosen={recipe} choose={start} />
      <label className="flex flex-col gap-0.5">
        Show on
        <select className="select select-sm w-full" value={where} onChange={(event) => setWhere(event.target.value)}>
          {places.map(({ key, words }) => (
            <option key={key} value={key}>
              {words}
            </option>
          ))}
          <option value="">no page yet</option>
        </select>
      </label>
      <fieldset>
        <legend className="mb-0.5">Starting position</legend>
        <div className="flex flex-wrap gap-1">
          {placements
            .filter(
              (one) => placementFacts[one].form !== "hidden" && (article || placementFacts[one].needs !== "article"),
            )
            .map((one) => (
              <button
                key={one}
                type="button"
                aria-pressed={one === fitting}
                aria-label={placementPictures[one].label}
                title={placementPictures[one].label}
                className={`rounded-lg border p-1.5 ${one === fitting ? "border-primary bg-plum-soft" : "border-hair hover:border-secondary"}`}
                onClick={() => setPlacement(one)}
              >
                <PlacementGlyph placement={one} />
              </button>
            ))}
        </div>
      </fieldset>
      <button type="submit" className="btn btn-primary btn-sm sticky bottom-0 mt-1">
        Create panel
      </button>
    </form>
  );
}

/** Phones have no space beside the products: there it goes into a drawer. */
const placementOf = (wide: Placement): PanelDocument["placement"] =>
  placementFacts[wide].form === "column" ? { wide, slim: "drawer" } : { wide };

/** The stage's page, and every kind of page. */
function usePlaces(): (Place & { key: string; isArticle: boolean })[] {
  const { pages, shop } = useOpenShop();
  const list = useAllPages();
  const address = useSession((state) => state.address);
  const first = shop.panels[0]?.slug;
  const here = list.find((one) => one.address === address);
  const document = () => pages.getState().document;
  const kinds = pageKinds.flatMap((kind) => {
    const page = list.find((one) => one.kind === kind);
    return page
      ? [
          {
            key: kind,
            scope: { kind },
            words: kind === "shop" ? "the page of all products" : `all ${pageKindNames[kind].toLowerCase()}`,
            address: page.address,
            isArticle: kind === "article",
            standing: () => layoutOfKind(kind, document(), first).panels,
          },
        ]
      : [];
  });
  if (!here) return kinds;
  const own = {
    key: "page",
    scope: { address },
    words: `this page only: ${pageName(here)}`,
    address,
    isArticle: here.kind === "article",
    standing: () => layoutAt(here, document(), first).panels,
  };
  return [own, ...kinds];
}
