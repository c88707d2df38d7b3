import { format, type Locale } from "date-fns";
import * as locales from "date-fns/locale";
import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { dayOrders, writtenDay } from "./days.ts";
import { inferKind } from "./field-kinds.ts";
import { plainNumber } from "./numbers/plain-number.ts";
import { readCatalogue } from "./read.ts";
import type { DateOrder } from "./reading-schema.ts";
import { shownName } from "./shown-name.ts";
import { suggestRoles } from "./suggest-reading.ts";

const order = <O extends DateOrder>(locale: Locale, of: O) => ({ locale, order: of });
const writers = {
  American: order(locales.enUS, "mdy"),
  Arabic: order(locales.ar, "dmy"),
  British: order(locales.enGB, "dmy"),
  Chinese: order(locales.zhCN, "ymd"),
  Czech: order(locales.cs, "dmy"),
  Danish: order(locales.da, "dmy"),
  Dutch: order(locales.nl, "dmy"),
  French: order(locales.fr, "dmy"),
  German: order(locales.de, "dmy"),
  Italian: order(locales.it, "dmy"),
  Japanese: order(locales.ja, "ymd"),
  Polish: order(locales.pl, "dmy"),
  Portuguese: order(locales.pt, "dmy"),
  Spanish: order(locales.es, "dmy"),
  Swedish: order(locales.sv, "ymd"),
  Turkish: order(locales.tr, "dmy"),
};

describe("days", () => {
  it.each([
    ["31.03.2026", "dmy", "2026-03-31"],
    ["3/31/2026", "mdy", "2026-03-31"],
    ["31-3-26", "dmy", "2026-03-31"],
    ["31.12.69", "dmy", "1969-12-31"],
    ["2001/01/02 06:55", "ymd", "2001-01-02"],
    ["2026-03-31T23:30:00+02:00", "ymd", "2026-03-31"],
    ["Jun 12 1998", "ymd", "1998-06-12"],
    ["12. Juni 1998", "ymd", "1998-06-12"],
    ["12 juin 1998", "ymd", "1998-06-12"],
    ["12 de junio de 1998", "ymd", "1998-06-12"],
    ["Friday, June 12th, 1998", "ymd", "1998-06-12"],
    ["12-Jun-98", "ymd", "1998-06-12"],
    ["12 giugno 1998, 14:05", "ymd", "1998-06-12"],
    ["1998 June 12", "ymd", "1998-06-12"],
  ] as const)("%s in the order %s is %s", (text, order, day) => {
    expect(writtenDay(text, order)).toBe(day);
  });

  it("are none where a text is none", () => {
    for (const text of ["next week", "1.2.3", "June 1998", "12 lemons 1998", "32.01.2026", "2026-13-01", "5 m", ""])
      expect(dayOrders(text) && writtenDay(text, "dmy"), text).toBeUndefined();
  });

  // Source: Intl (CLDR), which writes them.
  it("are read as Intl writes them, in six languages", () => {
    fc.assert(
      fc.property(
        fc.date({ min: new Date("1970-01-01"), max: new Date("2060-12-31"), noInvalidDate: true }),
        fc.constantFrom("en-GB", "en-US", "de", "fr", "es", "it", "nl"),
        fc.constantFrom("medium", "long", "full"),
        (date, language, dateStyle) => {
          const text = new Intl.DateTimeFormat(language, { dateStyle: dateStyle as "long", timeZone: "UTC" }).format(
            date,
          );
          const order = language === "en-US" ? "mdy" : "dmy";
          return writtenDay(text, order) === date.toISOString().slice(0, 10);
        },
      ),
    );
  });

  // Source: date-fns with its locales, which writes them. Reading with it would need the format and the language of each
  // column beforehand.
  it.each(Object.entries(writers))("are read as date-fns writes them in %s", (_, { locale, order }) => {
    const formats = ["P", "PP", "PPP", "PPPP", "Ppp", "PPpp", "PPPppp", "d MMMM y", "d. MMM y", "do MMMM yyyy"];
    const eastern = ["P", "PP", "PPP", "PPPP"];
    for (const pattern of order === "ymd" && locale.code !== "sv" ? eastern : formats)
      for (let month = 0; month < 12; month++)
        for (const date of [new Date(2026, month, 3, 15, 4, 5), new Date(1987, month, 24, 9, 30)]) {
          // A year of two digits in front of the others is not told from a day.
          if (locale.code === "zh-CN" && pattern === "P") continue;
          const text = format(date, pattern, { locale });
          expect([text, writtenDay(text, order)]).toEqual([text, format(date, "yyyy-MM-dd")]);
        }
  });

  it("are not what only looks like one", () => {
    for (const text of ["10,11,12", "38,40,42", "2 x 10 14:05", "12 ma 1998", "Mon Tue Wed"])
      expect(dayOrders(text), text).toBeUndefined();
  });

  it("make a column of a file one of days", () => {
    const { catalogue } = readCatalogue(new TextEncoder().encode("title,released\nA,Jun 12 1998\nB,Aug 07 1998\n"), {
      reading: [{ as: "title" }, { as: "attribute", kind: "date" }],
    });
    expect(catalogue.fields[1]).toMatchObject({ kind: "date" });
    expect(catalogue.columns.get("released")?.spellings).toEqual(["1998-06-12", "1998-08-07"]);
  });
});

describe("numbers", () => {
  it("are read with currency, percent and groups", () => {
    expect(["€1,234.50", "12 %", "USD 9.99", "1'234", "$-5", "-5 €"].map((text) => plainNumber(text, "."))).toEqual([
      "1234.50",
      "12",
      "9.99",
      "1234",
      "-5",
      "-5",
    ]);
    expect(plainNumber("1.234,50 EUR", ",")).toBe("1234.50");
    expect(plainNumber("12 cm", ".")).toBe("12 cm");
  });

  it("are no answers of yes or no, which are read in several languages", () => {
    for (const pair of [
      ["Ja", "Nein"],
      ["oui", "non"],
      ["Sí", "No"],
      ["vero", "falso"],
      ["ja", "nee"],
    ])
      expect(inferKind(pair)).toBe("yes-no");
    expect(inferKind(["yes", "maybe"])).toBe("text");
  });
});

describe("headings", () => {
  it.each([
    ["Artikelnummer;Bezeichnung;Preis;Marke;Bestand;Bild", "product_id,title,price,brand,stock,image"],
    ["Référence;Nom;Prix;Marque;Stock;Catégorie", "product_id,title,price,brand,stock,category"],
    ["Código;Nombre;Precio;Marca;Existencias", "product_id,title,price,brand,stock"],
    ["Codice;Nome;Prezzo;Marca;Giacenza", "product_id,title,price,brand,stock"],
    ["Artikelnummer;Naam;Prijs;Merk;Voorraad;Afbeelding", "product_id,title,price,brand,stock,image"],
    ["Article no.;Name;Unit price;Vendor;Qty;Image URL", "product_id,title,price,brand,stock,image"],
  ])("%s find what they mean", (header, roles) => {
    expect(suggestRoles(header.split(";")).map(({ as }) => as)).toEqual(roles.split(","));
  });

  it("are read by shoppers as words", () => {
    expect(
      [
        "Miles_per_Gallon",
        "groupBlock",
        "IMDB_Rating",
        "Running Time min",
        "colour",
        "US_DVD_Sales",
        "StVZO-zugelassen",
      ].map(shownName),
    ).toEqual([
      "Miles per gallon",
      "Group block",
      "IMDB rating",
      "Running Time min",
      "Colour",
      "US DVD sales",
      "StVZO-zugelassen",
    ]);
  });
});
