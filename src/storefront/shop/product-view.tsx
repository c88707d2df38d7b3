import type { Product } from "../../core/engine/cards/product.ts";
import { productAddress, searchAddress, shopAddress } from "../../core/page/page-list.ts";
import { Price } from "../listing/cell.tsx";
import { valueWriter } from "../panel/value-text.ts";
import { fieldTitle } from "../words/field-title.ts";
import type { Around } from "./around.ts";
import { Crumbs, ShopFrame } from "./shop-frame.tsx";

const top = { name: "", to: shopAddress };

interface Props {
  around: Around;
  product: Product;
  /** Index of the selected variant, from 0. */
  chosen: number;
}

/** A product's own page: its values, and its variants with one selected. */
export function ProductView({ around, product, chosen }: Props) {
  const { shop, base, say, language } = around;
  const { card, text, values } = product;
  const state = { say, language, currency: shop.currency };
  const variant = card.variants?.[chosen];
  return (
    <ShopFrame around={around} address={productAddress(card)} words="">
      <Crumbs around={around} page={{ crumbs: [top], title: card.title }} />
      <div class="zs-product">
        <div class="zs-picture">
          {card.image ? (
            <img src={card.image} alt="" width="600" height="600" />
          ) : (
            <span aria-hidden="true">{[...card.title][0]}</span>
          )}
        </div>
        <div>
          <h1>{card.title}</h1>
          <Price card={variant ? { ...variant, from: false } : card} state={state} />
          {text ? <p class="zs-about">{text}</p> : null}
          {card.variants ? (
            <>
              <h2>{say("variants")}</h2>
              <ul class="zs-variants">
                {card.variants.map((one) => (
                  <li key={one.at}>
                    <a
                      href={base + productAddress({ id: card.id, variant: one.at })}
                      aria-current={one.at === chosen ? "true" : undefined}
                    >
                      <span>{one.name}</span>
                      <Price card={{ ...one, from: false }} state={state} />
                    </a>
                  </li>
                ))}
              </ul>
            </>
          ) : null}
          <h2>{say("details")}</h2>
          <dl class="zs-details">
            {values.map(({ field, values: stated }) => {
              const write = valueWriter(field, { currency: shop.currency, language, say });
              return (
                <div key={field.key}>
                  <dt>{fieldTitle(field, say)}</dt>
                  <dd>{stated.map(write).join(", ")}</dd>
                </div>
              );
            })}
          </dl>
        </div>
      </div>
    </ShopFrame>
  );
}

/** The view for an unknown address: a message, and the search. */
export function NoPageView({ around }: { around: Around }) {
  const { base, say } = around;
  return (
    <ShopFrame around={around} address="" words="">
      <div class="zs-nothing">
        <h1>{say("noPage")}</h1>
        <p>{say("noPageHelp")}</p>
        <form role="search" method="get" action={base + searchAddress}>
          <input
            class="zt-search"
            type="search"
            name="q"
            aria-label={say("searchShop")}
            placeholder={say("searchShop")}
          />
          <button type="submit" class="zt-apply">
            {say("search")}
          </button>
        </form>
        <p>
          <a href={base + shopAddress}>{say("allProducts")}</a>
        </p>
      </div>
    </ShopFrame>
  );
}
