import { describe, expect, it } from "vitest";
import { bands } from "./band.ts";
import { byBand, choiceOfNames, is, settingTable } from "./setting-facts.ts";
import {
  bandedSetting,
  defaultOf,
  isBanded,
  type SettingName,
  type SettingValues,
  settingFacts,
  settingNames,
  settingOn,
  settingsOn,
  withSetting,
} from "./settings.ts";

/** Some value of a setting that is not its default. */
function another(name: SettingName): never {
  const { fallback, of } = settingFacts[name] as { fallback: unknown; of?: readonly unknown[] };
  const next =
    of?.find((value) => value !== fallback) ??
    (typeof fallback === "boolean"
      ? !fallback
      : typeof fallback === "string"
        ? "x"
        : Array.isArray(fallback)
          ? [1]
          : 7);
  return next as never;
}

describe("every setting of a facet", () => {
  it.each(settingNames)("%s is at its default until it is set, on every band", (name) => {
    for (const band of bands) {
      expect(settingOn({}, name, band)).toEqual(defaultOf(name));
      expect(settingsOn({}, band)[name]).toEqual(defaultOf(name));
    }
    expect(bandedSetting({}, name)).toEqual({ wide: defaultOf(name) });
    const { fallback, of } = settingFacts[name] as { fallback: unknown; of?: readonly unknown[] };
    if (of) expect(of).toContain(fallback);
  });

  it.each(settingNames)("%s holds as it was set, and leaves nothing behind when it is at its default again", (name) => {
    const value = another(name);
    const start: SettingValues = Object.freeze({ hint: "stays" });
    const set = withSetting(start, name, (isBanded(name) ? { wide: value } : value) as never);
    for (const band of bands) expect(settingOn(set, name, band)).toEqual(value);
    if (name !== "hint") expect(set.hint).toBe("stays");
    const back = withSetting(set, name, (isBanded(name) ? { wide: defaultOf(name) } : defaultOf(name)) as never);
    expect(Object.keys(back)).toEqual(name === "hint" ? [] : ["hint"]);
    expect(withSetting(set, name, undefined)).toEqual(back);
    expect(start).toEqual({ hint: "stays" });
  });

  it.each(settingNames.filter(isBanded))("%s can be otherwise on a narrower band alone", (name) => {
    const set = withSetting({}, name, { wide: defaultOf(name), slim: another(name) } as never);
    expect(bands.map((band) => settingOn(set, name, band))).toEqual([defaultOf(name), defaultOf(name), another(name)]);
  });
});

describe("a table of settings", () => {
  const table = settingTable({ kind: choiceOfNames(["a", "b"], "a"), wideness: byBand(is(3)), list: is<number[]>([]) });

  it("keeps the order in which its facts are told", () => {
    expect(table.names).toEqual(["kind", "wideness", "list"]);
    expect(table.names.map(table.isBanded)).toEqual([false, true, false]);
  });

  it("tells all of a band at once", () => {
    expect(table.allOn({ kind: "b", wideness: { wide: 3, medium: 5 } }, "slim")).toEqual({
      kind: "b",
      wideness: 5,
      list: [],
    });
  });

  it("takes an empty list for the empty list that it is by default", () => {
    expect(table.with({ kind: "b" }, "list", [])).toEqual({ kind: "b" });
    expect(table.with({}, "list", [1])).toEqual({ list: [1] });
  });
});
