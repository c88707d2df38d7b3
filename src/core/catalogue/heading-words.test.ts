import { expect, it } from "vitest";
import { headingLanguage } from "./heading-language.ts";
import { suggestRoles } from "./suggest-reading.ts";

// Common headings for the present price and the previous one: common practice, no source.
it.each([
  ["Name", "Price now", "Price before"],
  ["Name", "Our price", "Original price"],
  ["Artikelname", "Preis jetzt", "Preis vorher"],
  ["Nom", "Prix actuel", "Prix avant"],
  ["Nombre", "Precio ahora", "Precio antes"],
  ["Nome", "Prezzo ora", "Prezzo prima"],
  ["Naam", "Prijs nu", "Prijs was"],
])("%s, %s, %s: the price of today and the one of before", (...header) => {
  expect(
    suggestRoles(header)
      .map(({ as }) => as)
      .slice(1),
  ).toEqual(["price", "list_price"]);
});

// Written by hand: what a person would say.
it.each([
  ["Artikelnummer;Bezeichnung;Warengruppe;Marke;Preis", "de"],
  ["Référence;Désignation;Marque;Prix;Stock", "fr"],
  ["Nombre;Precio;Marca;Categoría", "es"],
  ["Naam;Prijs;Merk", "nl"],
  ["product_id;title;price;brand;Farbe", undefined],
  ["Name;Price;Brand;Preis;Marke", undefined],
  ["name;stock;price", undefined],
  ["note;x;y", undefined],
])("the language of %s is %s", (header, language) => {
  expect(headingLanguage(header.split(";"))).toBe(language);
});
