import { expect, it } from "vitest";
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
