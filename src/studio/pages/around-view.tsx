import { Plus } from "lucide-react";
import { stickyHeights } from "../../core/page/bars.ts";
import { setBars, setMenu } from "../../core/page/edit.ts";
import type { Bar, MenuEntry } from "../../core/page/pages-schema.ts";
import { freeId } from "../../core/panel/row-id.ts";
import { isSafeAddress } from "../../core/sanitize/safe-address.ts";
import { type Band, bands, resolve, withBand } from "../../core/settings/band.ts";
import { firstScreens } from "../../core/settings/first-screen.ts";
import { LanguageFields } from "../controls/language-fields.tsx";
import { LineTools } from "../controls/line-tools.tsx";
import { moved, replaced, withoutEntry } from "../controls/lists.ts";
import { TextControl } from "../controls/text-control.tsx";
import { pageName } from "../shell/page-names.ts";
import { useAllPages, useOpenShop, usePages } from "../shell/shop-context.ts";
import { PagesFrame } from "./pages-frame.tsx";
import { SearchForm } from "./search-form.tsx";

/** The parts of every page: the bars at its top, and the menu. */
export function AroundView() {
  return (
    <PagesFrame>
      <div className="flex min-h-0 flex-1 flex-col gap-8 overflow-auto pb-6">
        <Bars />
        <Menu />
        <SearchForm />
        <section aria-label="Languages">
          <h2 className="mb-1 text-lg">Languages</h2>
          <LanguageFields />
        </section>
      </div>
    </PagesFrame>
  );
}

function Bars() {
  const { pages } = useOpenShop();
  const bars = usePages((document) => document.bars);
  const put = (next: readonly Bar[], words: string) => pages.getState().apply(setBars(next, words));
  const replace = (at: number, bar: Bar, words: string) => put(replaced(bars, at, bar), `${bar.name}: ${words}`);
  const sums = stickyHeights(bars);
  return (
    <section aria-label="Bars">
      <h2 className="mb-1 text-lg">Bars</h2>
      <p className="mb-2 max-w-2xl text-[13px] text-quiet">
        As on your shop: their heights decide how far below the top a sticky panel stays, and how much of a screen is
        left.
      </p>
      <table className="text-[13px]">
        <thead>
          <tr className="text-quiet">
            <th className="text-start font-normal">Bar</th>
            {bands.map((band) => (
              <th key={band} className="px-3 text-start font-normal capitalize">
                {band}
              </th>
            ))}
            <th>
              <span className="sr-only">Actions</span>
            </th>
          </tr>
        </thead>
        <tbody>
          {bars.map((bar, at) => (
            <tr key={bar.id} className="border-t border-hair">
              <th scope="row" className="w-44 py-1.5 pe-3 font-normal">
                <TextControl
                  name={`Name of bar ${at + 1}`}
                  value={bar.name}
                  longest={100}
                  set={(name) => replace(at, { ...bar, name }, `renamed to “${name}”`)}
                />
              </th>
              {bands.map((band) => (
                <td key={band} className="px-3">
                  <BarOnBand bar={bar} band={band} set={(next, words) => replace(at, next, words)} />
                </td>
              ))}
              <td className="flex">
                <LineTools
                  name={bar.name}
                  at={at}
                  of={bars.length}
                  move={(to) => put(moved(bars, at, to), `Move the bar ${bar.name}`)}
                  remove={() => put(withoutEntry(bars, at), `Remove the bar ${bar.name}`)}
                />
              </td>
            </tr>
          ))}
          <tr className="border-t-2 border-hair">
            <th scope="row" className="py-1.5 text-start font-medium">
              Stays at the top
            </th>
            {bands.map((band) => (
              <td key={band} className="px-3 font-medium tabular-nums">
                {sums[band]} px <span className="font-normal text-quiet">of {firstScreens[band].height}</span>
              </td>
            ))}
            <td />
          </tr>
        </tbody>
      </table>
      <button
        type="button"
        className="btn btn-sm mt-2"
        onClick={() =>
          put(
            [...bars, { id: freeId(bars, "bar"), name: "New bar", height: { wide: 40 }, stays: { wide: true } }],
            "Add a bar",
          )
        }
      >
        <Plus size={15} aria-hidden /> Bar
      </button>
    </section>
  );
}

function BarOnBand({ bar, band, set }: { bar: Bar; band: Band; set(bar: Bar, words: string): void }) {
  const height = resolve(bar.height, band);
  const stays = resolve(bar.stays, band);
  return (
    <span className="flex items-center gap-2">
      <input
        type="number"
        className="input input-xs w-18 tabular-nums"
        aria-label={`Height of ${bar.name} on ${band}, in px`}
        min={0}
        max={400}
        key={height}
        defaultValue={height}
        onBlur={(event) => {
          const next = Math.round(Math.max(0, Math.min(400, Number(event.target.value))));
          if (next !== height) set({ ...bar, height: withBand(bar.height, band, next) }, `${next} px on ${band}`);
        }}
      />
      <label className="flex items-center gap-1.5">
        <input
          type="checkbox"
          className="checkbox checkbox-xs"
          checked={stays}
          aria-label={`${bar.name} stays on ${band}`}
          onChange={() =>
            set({ ...bar, stays: withBand(bar.stays, band, !stays) }, `${stays ? "goes" : "stays"} on ${band}`)
          }
        />
        stays
      </label>
    </span>
  );
}

function Menu() {
  const { pages } = useOpenShop();
  const menu = usePages((document) => document.menu);
  const list = useAllPages();
  const put = (next: readonly MenuEntry[], words: string) => pages.getState().apply(setMenu(next, words));
  const replace = (at: number, entry: MenuEntry, words: string) => put(replaced(menu, at, entry), `Menu: ${words}`);
  return (
    <section aria-label="Menu">
      <h2 className="mb-2 text-lg">Menu</h2>
      <datalist id="page-addresses">
        {list.map((page) => (
          <option key={page.address} value={page.address}>
            {pageName(page)}
          </option>
        ))}
      </datalist>
      <ol className="flex max-w-2xl flex-col gap-1.5">
        {menu.map((entry, at) => (
          <li key={entry.id} className="flex items-center gap-2">
            <span className="w-44 flex-none">
              <TextControl
                name={`Label of entry ${at + 1}`}
                value={entry.label}
                longest={100}
                set={(label) => replace(at, { ...entry, label }, `rename an entry to “${label}”`)}
              />
            </span>
            <input
              type="text"
              list="page-addresses"
              className="input input-xs min-w-0 flex-1"
              aria-label={`Address of entry ${at + 1}`}
              key={entry.to}
              defaultValue={entry.to}
              onBlur={(event) => {
                const to = event.target.value.trim();
                if (to === entry.to) return;
                if (to === "" || isSafeAddress(to)) replace(at, { ...entry, to }, `${entry.label}: change link`);
                else event.target.value = entry.to;
              }}
            />
            <LineTools
              name={entry.label}
              at={at}
              of={menu.length}
              move={(to) => put(moved(menu, at, to), `Menu: move ${entry.label}`)}
              remove={() => put(withoutEntry(menu, at), `Menu: remove ${entry.label}`)}
            />
          </li>
        ))}
      </ol>
      <button
        type="button"
        className="btn btn-sm mt-2"
        onClick={() => put([...menu, { id: freeId(menu, "entry"), label: "New entry", to: "/" }], "Menu: add an entry")}
      >
        <Plus size={15} aria-hidden /> Entry
      </button>
    </section>
  );
}
