/**
 * Names of colours as shops in six languages write them, each with the colour that a person would pick for it. Written
 * down by hand before any of them was guessed; no source. Every other name of a language was kept apart until the end.
 */
export const namesByLanguage: Readonly<Record<string, string>> = {
  en: `Dusty rose #c9a0a0, Marl grey #a8a8a8, Washed denim #7d97b5, Dark moss #4a5d23, Pale mint #cdeccf, Oatmeal #dccfb5,
    Ecru #e5dbc2, Camel #c19a6b, Cognac #9a4b22, Petrol #005f6a, Bottle green #0b5b3c, Aubergine #472c4c, Duck egg #c3ddd6,
    Burnt orange #c55a11, Ink blue #22325a, Powder pink #f3d3d9, Off white #f6f3ea, Anthracite #383e42, Sand #d9c6a0,
    Taupe #8b7e74, Champagne #f0e0c4, Midnight #1b2340, Cornflower #6495ed, Berry #8e2a55, Raspberry #c72c5c,
    Forest green #22502f, Khaki #8a8457, Stone wash #9aa9b5, Heather grey #b0b0b2, Plum #6b2d5c, Ivory #fbf7e6,
    Pewter #8a8d8f, Nude #e3bfa5, Coral #f4795b, Emerald #169c62`,
  de: `Moosgrün #5e6b34, Senfgelb #d3a22b, Weinrot #6f1a2b, Taubenblau #6b7d94, Altrosa #c8929a, Grau meliert #a9aaab,
    Anthrazit #383e42, Nachtblau #191f45, Tannengrün #1f4d36, Zartrosa #f6d5da, Hellgrau #cfd1d2, Dunkelbraun #4b2f20,
    Schilfgrün #8a9a6b, Rauchblau #5f7488, Kirschrot #a8132b, Flieder #b99ad0, Sonnengelb #f9c81e, Wollweiß #f1ebdd,
    Naturweiß #f3eee0, Ziegelrot #a8452f, Himmelblau #87c5eb, Olivgrün #6b6f35, Schokobraun #4e2e1e, Lachs #f6a08a,
    Pfirsich #f9c4a0, Türkis #30c5c0, Mintgrün #a6e3c4, Jeansblau #4a6a92, Bordeaux #6a1a2d, Schwarz #0b0b0b,
    Cremeweiß #f7f0de, Karamell #b5713a, Dunkelgrau meliert #5a5c5e, Eisblau #cfe6f0, Silbergrau #b6babd, Beere #8a2c56`,
  fr: `Bleu marine #1b2a52, Vert bouteille #0c5338, Rose poudré #eccfd0, Gris chiné #a9a9ab, Écru #e6ddc6, Bordeaux #6a1a2d,
    Moutarde #d0a52a, Bleu ciel #8fc7ec, Vert sapin #1c4b36, Lie de vin #6b2036, Rouge brique #a4452f, Bleu nuit #1a2143,
    Vert d'eau #b9dfcf, Jaune pâle #f7efb0, Gris anthracite #3a3f43, Blanc cassé #f3eee2, Noir #0b0b0b, Kaki #7d7a4b,
    Saumon #f5a087, Framboise #c42a58, Prune #652a57, Bleu pétrole #07566a, Vert olive #6d7038, Marron foncé #4a2c1c,
    Beige clair #e6dac2, Doré #cfa448, Argenté #bfc1c3, Rose vif #f02a8a, Bleu canard #0d6a75, Rouille #a8482a,
    Vieux rose #c48f97, Lilas #c0a3d8, Chocolat #4d2d1e, Vert menthe #a5e2c5, Sable #d9c6a0`,
  es: `Azul marino #1b2a52, Verde botella #0c5338, Rosa palo #e6bcbf, Gris jaspeado #a9a9ab, Crudo #e6ddc6, Burdeos #6a1a2d,
    Mostaza #d0a52a, Azul celeste #8fc7ec, Verde oliva #6d7038, Granate #701c2c, Topo #8b7e74, Rojo teja #a8452f,
    Azul noche #1a2143, Verde agua #b9dfcf, Amarillo pálido #f7efb0, Gris oscuro #55585b, Blanco roto #f3eee2,
    Negro #0b0b0b, Caqui #8a8457, Salmón #f5a087, Frambuesa #c42a58, Ciruela #652a57, Petróleo #07566a,
    Verde musgo #5e6b34, Marrón oscuro #4a2c1c, Beis #dccbaa, Dorado #cfa448, Plateado #bfc1c3, Fucsia #e01f86,
    Turquesa #30c5c0, Óxido #a8482a, Lila #c0a3d8, Chocolate #4d2d1e, Verde menta #a5e2c5, Gris claro #cfd1d2`,
  it: `Blu notte #1a2143, Verde bottiglia #0c5338, Rosa cipria #eccfd0, Grigio melange #a9a9ab, Ecrù #e6ddc6, Bordò #6a1a2d,
    Senape #d0a52a, Azzurro #6fb1e4, Verde salvia #9cab86, Vinaccia #6b2036, Tortora #a39787, Rosso mattone #a8452f,
    Blu navy #1b2a52, Verde acqua #b9dfcf, Giallo chiaro #f7efb0, Grigio scuro #55585b, Panna #f5ecd7, Nero #0b0b0b,
    Cachi #8a8457, Salmone #f5a087, Lampone #c42a58, Prugna #652a57, Petrolio #07566a, Verde muschio #5e6b34,
    Marrone #6b4226, Beige chiaro #e6dac2, Oro #cfa448, Argento #bfc1c3, Rosa antico #c48f97, Turchese #30c5c0,
    Ruggine #a8482a, Lilla #c0a3d8, Cioccolato #4d2d1e, Verde petrolio #07566a, Antracite #383e42`,
  nl: `Donkerblauw #1c2f66, Flessengroen #0c5338, Oudroze #c48f97, Grijs gemêleerd #a9a9ab, Gebroken wit #f3eee2,
    Bordeauxrood #6a1a2d, Mosterdgeel #d0a52a, Lichtblauw #a6cdea, Olijfgroen #6d7038, Wijnrood #6b1a2b, Zandkleur #d9c6a0,
    Steenrood #a8452f, Nachtblauw #1a2143, Mintgroen #a5e2c5, Zachtgeel #f7efb0, Donkergrijs #55585b, Crème #f6ecd2,
    Zwart #0b0b0b, Legergroen #5a5f38, Zalmroze #f5a897, Framboos #c42a58, Pruim #652a57, Petrolblauw #07566a,
    Mosgroen #5e6b34, Donkerbruin #4a2c1c, Lichtgrijs #cfd1d2, Goud #cfa448, Zilver #bfc1c3, Felroze #f02a8a,
    Turquoise #30c5c0, Roest #a8482a, Lavendel #c3b3e0, Chocoladebruin #4d2d1e, Hemelsblauw #8fc7ec, Antraciet #383e42,
    Kobaltblauw #1f44a8`,
};

/** More of them, rarer ones, written down once the words were there and before any was guessed; nothing was tuned to them. */
export const rarerNames: Readonly<Record<string, string>> = {
  en: `Light sage #c5d0b5, Dark navy #131c38, Washed black #3a3b3d, Pale lemon #f8f3b8, Vivid coral #ff6a4d, Rosewood #8d5550,
    Cinnamon #b0672f, Clay #b5795c, Bone #e8e0cf, Ash #b3b3ac, Deep teal #045a60, Sea foam #a9dfc6, Poppy #dd3a2a,
    Blush #efc4c0, Amber #e39a1f, Fern #5a7d47, Oxblood #5a1a1e, Mahogany #5c2a1c, Ice blue #cfe5f0, Old gold #b8953b`,
  de: `Pflaumenblau #4b3a66, Rosenholz #b0817e, Kiesel #b3ada2, Schlammgrün #7a7553, Kupferrot #a9573a, Blassgelb #f4eeb5,
    Sandbeige #d8c7a6, Mohnrot #d2271f, Lindgrün #c5dba1, Maisgelb #f3c845, Stahlblau #4b6c8a, Tiefrot #97131f,
    Bernstein #dd9a2a, Kastanienbraun #5e3422, Zimt #b0672f, Hellblau meliert #a9bccd, Dunkellila #4a2b66,
    Apfelgrün #8fb52d, Rauchgrau #7d8083, Veilchen #8460b0`,
  fr: `Gris perle #cfd0cf, Vert amande #b5cb96, Bleu glacier #cbe3ee, Rouge cerise #b0152f, Jaune citron #f4e243, Brun clair #a17a52,
    Rose bonbon #f77fae, Vert forêt #22502f, Bleu roi #2449a8, Terre cuite #c0623f, Ambre #e09a24, Cannelle #b0672f,
    Rouge foncé #8c1420, Gris souris #8e8d8b, Vert sauge #9cab86, Bleu jean délavé #8fa5bb, Ocre #c9892b, Vanille #f3e7bf,
    Violet foncé #4a2b66, Corail #f4795b`,
  es: `Verde bosque #22502f, Azul hielo #cbe3ee, Rojo cereza #b0152f, Amarillo limón #f4e243, Gris perla #cfd0cf, Canela #b0672f,
    Verde manzana #8fb52d, Azul vaquero #4a6a92, Rosa claro #f6cfdb, Vino #6a1a2d, Ocre #c9892b, Ámbar #e09a24,
    Verde oscuro #1a5230, Violeta #7d4aa8, Camel #c19a6b, Perla #e4dfd5, Azul eléctrico #1f44d8, Terracota #c0623f,
    Rojo vivo #e3202a, Hueso #e9e0cd`,
  it: `Verde bosco #22502f, Blu ghiaccio #cbe3ee, Rosso ciliegia #b0152f, Giallo limone #f4e243, Grigio perla #cfd0cf,
    Cannella #b0672f, Verde mela #8fb52d, Blu elettrico #1f44d8, Rosa chiaro #f6cfdb, Rosso vino #6a1a2d, Ocra #c9892b,
    Ambra #e09a24, Verde scuro #1a5230, Viola #7d4aa8, Cammello #c19a6b, Avorio #f5eedb, Terracotta #c0623f,
    Rosso vivo #e3202a, Marrone chiaro #a17a52, Celeste #a5d3ee`,
  nl: `Bosgroen #22502f, IJsblauw #cbe3ee, Kersenrood #b0152f, Citroengeel #f4e243, Parelgrijs #cfd0cf, Kaneel #b0672f,
    Appelgroen #8fb52d, Jeansblauw #4a6a92, Lichtroze #f6cfdb, Oker #c9892b, Barnsteen #e09a24, Donkergroen #1a5230,
    Paars #7d4aa8, Koraalrood #ef5b45, Ivoor #f5eedb, Koperkleurig #b06a3b, Blauwgrijs #7e8e9f, Lichtbruin #a17a52,
    Donkerrood #8c1420, Klaproos #d2271f`,
};

/** The names that shops write first, in four languages, each with the colour that a person would pick; written down by hand before any was guessed. */
export const firstNames: Readonly<Record<string, string>> = {
  en: `Black #0b0b0b, White #ffffff, Navy #1b2a52, Rose gold #b76e79, Red #d2262e, Light blue #a6cdea, Dark green #1a5230,
    Cream #f6ecd2, Charcoal #3a3d40, Lilac #c0a3d8, Mustard #d0a52a, Teal #0d6a75, Gold #cfa448, Burgundy #6a1a2d, Turquoise #30c5c0`,
  de: `Schwarz #0b0b0b, Weiß #ffffff, Marine #1b2a52, Roségold #b76e79, Rot #d2262e, Hellblau #a6cdea, Dunkelgrün #1a5230,
    Creme #f6ecd2, Anthrazit #383e42, Lila #9257b8, Senf #d0a52a, Petrol #07566a, Gold #cfa448, Weinrot #6f1a2b, Türkis #30c5c0`,
  fr: `Noir #0b0b0b, Blanc #ffffff, Marine #1b2a52, Or rose #b76e79, Rouge #d2262e, Bleu clair #a6cdea, Vert foncé #1a5230,
    Crème #f6ecd2, Anthracite #383e42, Lilas #c0a3d8, Moutarde #d0a52a, Bleu canard #0d6a75, Or #cfa448, Bordeaux #6a1a2d, Turquoise #30c5c0`,
  es: `Negro #0b0b0b, Blanco #ffffff, Marino #1b2a52, Oro rosa #b76e79, Rojo #d2262e, Azul claro #a6cdea, Verde oscuro #1a5230,
    Crema #f6ecd2, Antracita #383e42, Lila #c0a3d8, Mostaza #d0a52a, Petróleo #07566a, Oro #cfa448, Burdeos #6a1a2d, Turquesa #30c5c0`,
};

export interface ExpectedColour {
  language: string;
  name: string;
  hex: string;
  /** It was kept apart until the end. */
  apart: boolean;
}

const expected = (names: Readonly<Record<string, string>>, isApart: (at: number) => boolean): ExpectedColour[] =>
  Object.entries(names).flatMap(([language, list]) =>
    list.split(",").map((entry, at): ExpectedColour => {
      const [, name = "", hex = ""] = /^\s*(.+?)\s+(#[0-9a-f]{6})\s*$/s.exec(entry) ?? [];
      return { language, name, hex, apart: isApart(at) };
    }),
  );

export const expectedColours: readonly ExpectedColour[] = expected(namesByLanguage, (at) => at % 2 === 1);
export const firstColours: readonly ExpectedColour[] = expected(firstNames, () => false);
export const rarerColours: readonly ExpectedColour[] = expected(rarerNames, () => true);
