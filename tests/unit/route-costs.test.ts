import { describe, expect, it } from "vitest";
import { api } from "../../src/server/routes/api.ts";
import { type Cost, costOf, costsOf } from "../../src/server/routes/cost.ts";
import { Catalogues } from "../../src/server/store/catalogues.ts";
import { readers } from "../../src/server/uploads.ts";

const routes = api({
  fork: () => {
    throw new Error("Routes are only listed here.");
  },
  catalogues: new Catalogues(),
  standIn: () => undefined,
  warm: () => Promise.resolve(),
  readers,
  keeps: false,
  far: undefined,
  costs: costsOf(),
}).routes.filter(({ method, path }) => method === "GET" && path.startsWith("/shops/:shop"));
const costs = new Map<string, Cost | undefined>();
for (const { path, handler } of routes) costs.set(path, costs.get(path) ?? costOf(handler));

describe("routes that read a shop", () => {
  it("say what they cost, each", () => {
    expect(costs.size).toBeGreaterThan(15);
    expect([...costs].filter(([, cost]) => cost === undefined)).toEqual([]);
  });

  it("leave to threads what reads the catalogue or makes files", () => {
    const of = (cost: Cost) =>
      [...costs].flatMap(([path, one]) => (one === cost ? [path.split("/").slice(3).join("/")] : [])).sort();
    expect(of("quick")).toEqual(["data", "differences", "overview", "stand", "suggest", "swatches"]);
    expect(of("long")).toEqual([
      ...[
        "catalogue.csv",
        "catalogue.jsonld",
        "editions/:n/files.zip",
        "folder.zip",
        "handoff",
        "handoff.zip",
        "handoff/ids.csv",
        "new-findings",
      ],
      ...["swatches.csv", "swatches.tokens.json", "swatches.zip"],
      "visits",
    ]);
  });
});
