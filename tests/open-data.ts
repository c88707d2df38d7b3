import { readFileSync } from "node:fs";
import { dirname, join } from "node:path";
import { fileURLToPath } from "node:url";
import Papa from "papaparse";

const data = join(dirname(fileURLToPath(import.meta.url)), "../node_modules/vega-datasets/data");

interface Car {
  Name: string;
  Miles_per_Gallon: number | null;
  Cylinders: number;
  Horsepower: number | null;
  Year: string;
  Origin: string;
}

/**
 * The cars of the npm package vega-datasets as rows of a catalogue: 406 models of 1970 to 1982.
 * Source: Donoho and Ramos, CMU-STAT data sets, 1982. The package holds no ids, so the rows are numbered.
 */
export const carRows = (JSON.parse(readFileSync(join(data, "cars.json"), "utf8")) as Car[]).map((car, i) => ({
  product_id: `c${i}`,
  title: car.Name,
  Origin: car.Origin,
  Cylinders: String(car.Cylinders),
  Year: car.Year.slice(0, 4),
  Horsepower: car.Horsepower === null ? "" : String(car.Horsepower),
  "Miles per gallon": car.Miles_per_Gallon === null ? "" : String(car.Miles_per_Gallon),
}));

export const carsCsv = Papa.unparse(carRows);

/** The airports table of the same package as it is: 3,376 rows with the headings iata, name, city, state, country, latitude, longitude. */
export const airportsCsv = readFileSync(join(data, "airports.csv"), "utf8");
