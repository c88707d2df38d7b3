import { type FilledRecipe, recipes } from "../../core/panel/suggest/recipes.ts";
import { resolve } from "../../core/settings/band.ts";
import { useAsked, useOpenShop } from "../shell/shop-context.ts";
import { LivePicture } from "./live-picture.tsx";

/** The ways to start a panel, filled with the shop's fields; undefined until they are. */
export function useRecipes(): readonly FilledRecipe[] | undefined {
  const { desk } = useOpenShop();
  return useAsked(() => desk.recipes(), "recipes");
}

interface Props {
  found: readonly FilledRecipe[] | undefined;
  chosen: FilledRecipe | undefined;
  choose(recipe: FilledRecipe | undefined): void;
}

/** The start of a new panel: nothing, or a recipe, drawn with the shop's own options before it is created. */
export function RecipeChoice({ found, chosen, choose }: Props) {
  return (
    <fieldset>
      <legend className="mb-0.5">Start from</legend>
      <div className="flex flex-col gap-0.5">
        <Start label="An empty panel" checked={chosen === undefined} choose={() => choose(undefined)} />
        {found?.map((one) => (
          <Start
            key={one.name}
            label={one.label}
            about={`${one.about}: ${one.reasons.map(({ name }) => name).join(", ")}`}
            checked={chosen?.name === one.name}
            choose={() => choose(one)}
          />
        )) ?? <p className="px-2 text-quiet">Looking for recipes that suit this shop…</p>}
      </div>
      {chosen ? <Drawn recipe={chosen} /> : null}
    </fieldset>
  );
}

interface StartProps {
  label: string;
  about?: string;
  checked: boolean;
  choose(): void;
}

const Start = ({ label, about, checked, choose }: StartProps) => (
  <label
    className={`flex cursor-pointer items-start gap-2 rounded-lg px-2 py-1 ${checked ? "bg-plum-soft" : "hover:bg-sand"}`}
  >
    <input type="radio" name="start-from" className="radio radio-xs mt-0.5" checked={checked} onChange={choose} />
    <span className="min-w-0">
      <span className="block font-medium">{label}</span>
      {about === undefined ? null : <span className="block text-quiet">{about}</span>}
    </span>
  </label>
);

/** The recipe's facets as shoppers would see them, with the reason for each. */
function Drawn({ recipe: { name, panel, reasons } }: { recipe: FilledRecipe }) {
  return (
    <ul className="mt-1.5 grid grid-cols-2 gap-1.5" aria-label={`Preview: ${recipes[name].label}`}>
      {panel.rows.map((row) => {
        const said = row.kind === "facet" ? reasons.find(({ field }) => field === row.field) : undefined;
        return row.kind === "facet" && said ? (
          <li key={row.id} className="rounded-lg border border-hair p-1.5" title={said.reason}>
            <span className="block truncate font-medium">{said.name}</span>
            <span className="my-1 block rounded-md bg-white p-1">
              <LivePicture
                row={row}
                display={resolve(row.display, "wide")}
                band="wide"
                width={300}
                scale={0.6}
                height={56}
              />
            </span>
            <span className="block text-[12px] text-quiet">{said.reason}</span>
          </li>
        ) : null;
      })}
    </ul>
  );
}
