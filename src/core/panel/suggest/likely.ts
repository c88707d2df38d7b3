import type { Field } from "../../catalogue/field.ts";
import { splitCapitals } from "../../catalogue/shown-name.ts";

/** How readily people choose by a known field, relative to 1 for any attribute. Common practice, no source. */
const byRole: Partial<Record<Field["role"], number>> = {
  category: 1.8,
  type: 1.6,
  brand: 1.4,
  price: 1.7,
  rating: 1.1,
  availability: 0.9,
  on_sale: 0.8,
  tags: 0.9,
  published: 0.4,
  reviews: 0.2,
  list_price: 0.1,
  stock: 0.1,
};

/** The same by words of a heading, the first that fits. Common practice, no source; English, German, French, Spanish, Italian, Dutch. */
const byWord: readonly (readonly [weight: number, words: RegExp])[] = [
  // Row numbers and coordinates tell people nothing.
  [
    0.05,
    /\b(?:ids?|code|codes|iso|cca\d|ccn\d|cioc|gtin|ean|isbn|url|link|slug|uuid|hash|hex|identification|number|nummer|numéro|número|phone|email|comment|note|notes|official|symbol|zip|postcode|postal|plz|idd|suffix|suffixes|prefix|prefixes)\b/,
  ],
  [0.1, /\b(?:latitude|longitude|lat|lon|lng|coordinates|latlng|geo)\b/],
  // Counts of other people's actions, and sums of money that are not prices.
  [
    0.2,
    /\b(?:votes?|counts?|reviews?|views|clicks|downloads|gross|sales|revenue|budget|receipts|disbursements|loans?|repayments?|contributions?|refunds?|debts?|transfers?|cash|cost|costs|kosten|stimmen|anzahl|score|scores|goals|tore|delay|percent|perc|pct|share)\b/,
  ],
  [
    1.6,
    /\b(?:category|categories|kategorie|catégorie|categoría|categoria|categorie|genre|genres|type|typ|tipo|soort|kind|class|klasse|classe|clase|group|gruppe|groupe|grupo|gruppo|groep|block|family|familie|famille|species|art|espèce|division|department|abteilung|section|style|stil|estilo|stile|stijl|region|subregion)\b/,
  ],
  [
    1.5,
    /\b(?:colou?rs?|farben?|couleurs?|color(?:es)?|colore|colori|kleur(?:en)?|size|sizes|größe|grösse|groesse|taille|talla|taglia|maat|price|preis|prix|precio|prezzo|prijs)\b/,
  ],
  [
    1.4,
    /\b(?:brand|marke|marque|marca|merk|maker|manufacturer|hersteller|fabricant|fabricante|producer|operator|team|designer|artist|author|autor|party|affiliation)\b/,
  ],
  [
    1.3,
    /\b(?:rating|ratings|bewertung|note|stars|sterne|material|stoff|matière|materiale|materiaal|sex|gender|geschlecht|age|alter|status|state|phase|season|saison|occasion|location|ort|country|land|pays|país|paese|city|stadt|ville|ciudad|città|stad|island|origin|herkunft|origine|languages?|sprachen?|currency|currencies|weather|size|level|grade)\b/,
  ],
  [1.1, /\b(?:date|datum|fecha|data|year|jahr|année|año|anno|jaar|month|monat|mois|time|discovered)\b/],
];

/** The separate words of a heading, whatever they were joined with. */
export const facetHeadingWords = (name: string): string =>
  splitCapitals(name)
    .replaceAll(/[_\-./]+/g, " ")
    .toLowerCase();

/** How readily people choose by a field, from its role and name: 1 for any attribute. */
export function likelihood({ role, name }: Pick<Field, "role" | "name">): number {
  const known = byRole[role];
  if (known !== undefined) return known;
  const words = facetHeadingWords(name);
  return byWord.find(([, pattern]) => pattern.test(words))?.[0] ?? 1;
}
