import { describe, expect, it } from "vitest";
import { demoPanel } from "../../../demo/panel.ts";
import { edited } from "../document/edit.ts";
import { checkDocument } from "../document/kind.ts";
import { bandGroups } from "../panel/band-groups.ts";
import { followBehaviour, resetBehaviour, setBehaviour } from "../panel/edit.ts";
import { panelKind } from "../panel/kind.ts";
import { behaviourOff, behaviours } from "./behaviour.ts";
import { behaviourDefinition } from "./behaviour-definitions.ts";
import { placements } from "./placement.ts";

const plain = { ...demoPanel, behaviour: undefined };

describe("a panel's behaviour", () => {
  it("is set on every band or on one, follows, goes back, and keeps the document valid", () => {
    const sticky = edited(plain, setBehaviour("sticky", true));
    expect(sticky.behaviour).toEqual({ sticky: { wide: true } });
    const apart = edited(sticky, setBehaviour("sticky", false, "slim"));
    expect(behaviours.allOn(apart.behaviour ?? {}, "medium").sticky).toBe(true);
    expect(behaviours.allOn(apart.behaviour ?? {}, "slim").sticky).toBe(false);
    expect(edited(apart, followBehaviour("sticky", "slim")).behaviour).toEqual(sticky.behaviour);
    expect(edited(apart, resetBehaviour("sticky")).behaviour).toBeUndefined();
    expect(edited(sticky, setBehaviour("sticky", false)).behaviour).toBeUndefined();
    for (const panel of [sticky, apart, edited(plain, setBehaviour("sendTo", "/collections/gifts"))])
      expect(checkDocument(panelKind, panel)).toEqual(panel);
  });

  it("takes any value that its definition names, and no other", () => {
    for (const name of behaviours.names) {
      const definition = behaviourDefinition(name);
      const put = (value: unknown) => ({
        ...demoPanel,
        behaviour: { [name]: behaviours.isBanded(name) ? { wide: value } : value },
      });
      const values =
        definition.kind === "choice"
          ? Object.keys(definition.choices)
          : definition.kind === "number"
            ? [definition.min, definition.max]
            : definition.kind === "yes-no"
              ? [true, false]
              : definition.kind === "words"
                ? [{}, { de: "Filtern" }]
                : definition.kind === "picture"
                  ? ["", "/pictures/shop/a.svg"]
                  : ["", "Narrow down"];
      for (const value of values) expect(() => checkDocument(panelKind, put(value))).not.toThrow();
      expect(() => checkDocument(panelKind, put({ odd: 1 }))).toThrow(name);
    }
    expect(() => checkDocument(panelKind, { ...demoPanel, behaviour: { stick: true } })).toThrow(/unspecified/);
  });

  it("parts the bands that it differs by, so that each is drawn for itself", () => {
    const placed = { ...plain, placement: { wide: "left" as const }, rows: [] };
    expect(bandGroups(placed)).toEqual([["wide", "medium", "slim"]]);
    expect(bandGroups(edited(placed, setBehaviour("apply", "button", "slim")))).toEqual([["wide", "medium"], ["slim"]]);
  });

  it("says why it means nothing where it does not, and is silent where it does", () => {
    for (const placement of placements)
      for (const name of behaviours.names) {
        const reason = behaviourOff(name, placement);
        if (reason !== undefined) expect(reason).toMatch(/^[A-Z].*\.$/);
      }
    expect(behaviourOff("sticky", "left")).toBeUndefined();
    expect(behaviourOff("sticky", "above")).toBeUndefined();
    expect(behaviourOff("sticky", "header")).toMatch(/cover them/);
    expect(behaviourOff("sticky", "drawer")).toMatch(/can’t be sticky/);
    expect(behaviourOff("drawerFrom", "drawer")).toBeUndefined();
    expect(behaviourOff("float", "article")).toBeUndefined();
    expect(behaviourOff("apply", "absent")).toMatch(/hidden on this band/);
  });
});
