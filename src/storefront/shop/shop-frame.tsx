import type { ComponentChildren } from "preact";
import { shopAddress } from "../../core/page/page-list.ts";
import type { Bar } from "../../core/page/pages-schema.ts";
import type { ShownPage } from "../../core/page/shown-page.ts";
import { wordsIn } from "../../core/panel/options.ts";
import { type Band, bands } from "../../core/settings/band.ts";
import { useBasket } from "../listing/basket.ts";
import { placeInShop } from "../panel/rich-text.tsx";
import type { Around } from "./around.ts";
import { barStyle, barsStyle } from "./bars.ts";
import { SearchBox } from "./search-box.tsx";

interface Props {
  around: Around;
  /** Address of the page, for marking it in the menu. */
  address: string;
  /** The text in the search field. */
  words: string;
  /** The bands the page is drawn for. */
  on?: readonly Band[];
  /** Below the bars, on every page. */
  header?: ComponentChildren;
  children: ComponentChildren;
}

/** The stand-in shop around every page: bars, menu, search, footer. */
export function ShopFrame({ around, address, words, on = bands, header, children }: Props) {
  const { shop } = around;
  return (
    <div class="zs-shop" style={barsStyle(shop.bars)}>
      {shop.bars.map((bar, at) => (
        <div key={bar.id} class={`zs-fixed zs-${bar.id}`} style={barStyle(shop.bars, at)}>
          <BarContent bar={bar} around={around} address={address} words={words} on={on} />
        </div>
      ))}
      {/* On a phone the menu has a line of its own, which goes with the page. */}
      {on.includes("slim") ? <MenuLinks around={around} address={address} bands="slim" /> : null}
      {header}
      <main class="zs-main">{children}</main>
      <footer class="zs-foot">{shop.name}</footer>
    </div>
  );
}

/**
 * The content of a bar: the greeting in the first default one, name and menu in the second, its own name in any
 * other.
 */
function BarContent({
  bar,
  around,
  address,
  words,
  on,
}: { bar: Bar; on: readonly Band[] } & Pick<Props, "around" | "address" | "words">) {
  const { shop, say } = around;
  if (bar.id === "notice") return <>{say("welcome", { shop: shop.name })}</>;
  if (bar.id === "menu") return <MenuBar around={around} address={address} words={words} on={on} />;
  return <>{bar.name}</>;
}

function MenuBar({
  around,
  address,
  words,
  on,
}: { on: readonly Band[] } & Pick<Props, "around" | "address" | "words">) {
  const { shop, base, say } = around;
  const basket = useBasket();
  return (
    <>
      <a class="zs-name" href={base + shopAddress}>
        {shop.name}
      </a>
      {on.some((band) => band !== "slim") ? <MenuLinks around={around} address={address} bands="wide medium" /> : null}
      <SearchBox around={around} words={words} />
      <span class="zs-basket">{say("basket", { n: basket.count })}</span>
    </>
  );
}

function MenuLinks({ around, address, bands: on }: Pick<Props, "around" | "address"> & { bands: string }) {
  const { shop, base, say, language } = around;
  if (shop.menu.length === 0) return null;
  return (
    <nav class="zs-nav" aria-label={say("menu")} data-bands={on}>
      {shop.menu.map(({ id, label, labels, to }) => (
        <a key={id} href={placeInShop(base, to)} aria-current={to === address ? "page" : undefined}>
          {wordsIn({ text: label, others: labels }, language)}
        </a>
      ))}
    </nav>
  );
}

/** The way down to a page. */
export function Crumbs({ around, page }: { around: Around; page: Pick<ShownPage, "crumbs"> & { title: string } }) {
  const { base, say } = around;
  if (page.crumbs.length === 0) return null;
  return (
    <nav class="zs-crumbs" aria-label={say("crumbs")}>
      <ol>
        {page.crumbs.map(({ name, to }) => (
          <li key={to}>
            <a href={base + to}>{name || say("allProducts")}</a>
          </li>
        ))}
        <li aria-current="page">{page.title}</li>
      </ol>
    </nav>
  );
}
