import type { ComponentChildren } from "preact";
import { searchAddress, shopAddress } from "../../core/page/page-list.ts";
import type { Bar } from "../../core/page/pages-schema.ts";
import type { ShownPage } from "../../core/page/shown-page.ts";
import { wordsIn } from "../../core/panel/options.ts";
import { useBasket } from "../listing/basket.ts";
import type { Say } from "../words/say.ts";
import { barStyle, barsStyle } from "./bars.ts";
import type { ShopAround } from "./boot.ts";

/** What every page of the stand-in shop is drawn from. */
export interface Around {
  shop: ShopAround;
  base: string;
  language: string;
  say: Say;
}

interface Props {
  around: Around;
  /** Address of the page, which the menu marks. */
  address: string;
  /** What stands in the search field. */
  words: string;
  /** Below the bars, on every page. */
  header?: ComponentChildren;
  children: ComponentChildren;
}

/** The stand-in shop around every page: bars, menu, search, footer. */
export function ShopFrame({ around, address, words, header, children }: Props) {
  const { shop } = around;
  return (
    <div class="zs-shop" style={barsStyle(shop.bars)}>
      {shop.bars.map((bar, at) => (
        <div key={bar.id} class={`zs-fixed zs-${bar.id}`} style={barStyle(shop.bars, at)}>
          <BarContent bar={bar} around={around} address={address} words={words} />
        </div>
      ))}
      {header}
      <main class="zs-main">{children}</main>
      <footer class="zs-foot">{shop.name}</footer>
    </div>
  );
}

/** What stands in a bar: the greeting in the first usual one, name and menu in the second, its own name in any other. */
function BarContent({ bar, around, address, words }: { bar: Bar } & Pick<Props, "around" | "address" | "words">) {
  const { shop, say } = around;
  if (bar.id === "notice") return <>{say("welcome", { shop: shop.name })}</>;
  if (bar.id === "menu") return <MenuBar around={around} address={address} words={words} />;
  return <>{bar.name}</>;
}

function MenuBar({ around, address, words }: Pick<Props, "around" | "address" | "words">) {
  const { shop, base, say, language } = around;
  const basket = useBasket();
  return (
    <>
      <a class="zs-name" href={base + shopAddress}>
        {shop.name}
      </a>
      {shop.menu.length > 0 ? (
        <nav class="zs-nav" aria-label={say("menu")}>
          {shop.menu.map(({ id, label, labels, to }) => (
            <a key={id} href={placeOfLink(base, to)} aria-current={to === address ? "page" : undefined}>
              {wordsIn({ text: label, others: labels }, language)}
            </a>
          ))}
        </nav>
      ) : null}
      <form class="zs-find" role="search" method="get" action={base + searchAddress}>
        <input
          type="search"
          name="q"
          aria-label={say("searchShop")}
          placeholder={say("searchShop")}
          defaultValue={words}
        />
      </form>
      <span class="zs-basket">{say("basket", { n: basket.count })}</span>
    </>
  );
}

/** Addresses of the shop itself are told without what stands in front of them. */
const placeOfLink = (base: string, to: string): string => (to.startsWith("/") ? base + to : to);

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
