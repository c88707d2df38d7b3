import type { Field } from "../../core/catalogue/field.ts";
import type { Site } from "../../core/shop/shop-schema.ts";
import { cardValues } from "../../storefront/handoff/card-values.ts";
import { drawListing, drawPanel, type StillPage } from "../../storefront/handoff/draw.tsx";
import { folderOf, pieceIn } from "../../storefront/handoff/wire.ts";
import { behaviourOn, type PagePanel, placeOf } from "../../storefront/page/page-panel.ts";
import { filledCard } from "./card.ts";
import { shortHash } from "./names.ts";

interface Settings {
  site: Site;
  card: string;
  currency: string;
  fields: readonly Field[];
}

/** The pieces of one page: each panel, the same panels as forms, and a listing. */
export interface PageMarkup {
  panels: string[];
  listing: string;
}

/** All markup of a handoff, a file for each piece, and the styles of its elements. */
export class Markup {
  readonly files = new Map<string, string>();
  /** The pieces by page, as an element with a name looks for them. */
  readonly pieces: Record<string, Record<string, string>> = {};
  readonly styles = new Set<string>();
  #settings: Settings;

  constructor(settings: Settings) {
    this.#settings = settings;
  }

  /** Draws a page's panels and its listing. */
  addPage(still: StillPage): PageMarkup {
    const { site } = this.#settings;
    const { page, panels } = still.born;
    const put = (piece: string, html: string) => {
      const name = pieceIn(piece, still.language);
      this.files.set(`${folderOf(page.address)}/${name}.html`, html);
      this.pieces[page.address] = { ...this.pieces[page.address], [name]: shortHash(html) };
    };
    const drawn = panels.map((one) => {
      const plain = this.#panel(still, one, one.target && sentTo(one.target.address, site));
      put(one.slug, plain);
      if (site.action !== "") put(`${one.slug}.form`, this.#panel(still, one, site.action));
      return plain;
    });
    const listing = this.#listing(still);
    if (page.layout.listing) put("listing", listing);
    return { panels: drawn, listing };
  }

  #panel(still: StillPage, one: PagePanel, action: string | undefined): string {
    const { html, styles } = drawPanel(still, one, this.#settings.site.at, action);
    for (const style of styles) this.styles.add(style);
    return `${html}\n`;
  }

  #listing(still: StillPage): string {
    const { site, card, currency, fields } = this.#settings;
    const [state] = still.states;
    if (!state) return "";
    const chosenAbove = still.born.panels.some(
      (one) => placeOf(one, state.band) !== "absent" && behaviourOn(one.panel, state.band).chosen !== "panel",
    );
    const { island, total, sorts, sortName, nothing, more, pages, chosen } = drawListing(still, site.at, chosenAbove);
    for (const style of chosen?.styles ?? []) this.styles.add(style);
    const words = { say: state.say, language: state.language, currency, link: site.link };
    const byKey = new Map(fields.map((field) => [field.key, field]));
    const cards = state.answer.products.map((one) =>
      filledCard(card, one.id, cardValues(one, { ...words, fields: byKey })),
    );
    return [
      `<trellis-listing>${island}`,
      `<template>${card}</template>`,
      "<div data-trellis-above>",
      `<p data-trellis-count="" role="status">${total}</p>`,
      `<select data-trellis-sort="" aria-label="${sortName}">${sorts}</select>`,
      "</div>",
      ...(chosen ? [`<div data-trellis-chosen="">${chosen.html}</div>`] : []),
      `<ul data-trellis-cards>`,
      ...cards,
      "</ul>",
      `<div data-trellis-nothing="" hidden>${nothing}</div>`,
      pages === undefined
        ? `<button type="button" data-trellis-more=""${more === "" ? " hidden" : ""}>${more}</button>`
        : `<div data-trellis-pages="">${pages}</div>`,
      "</trellis-listing>",
      "",
    ].join("\n");
  }
}

/** Target of choices for another page of the shop: the site's own address for them, or that page's. */
const sentTo = (address: string, { action }: Site): string => action || address;
