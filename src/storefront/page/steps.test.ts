import { describe, expect, it } from "vitest";
import type { Act } from "../../core/page/browse-state/browse-state.ts";
import { nextPlace, startPlace } from "../../core/page/browse-state/browse-state.ts";
import { Steps } from "./steps.ts";

const to = (field: string, max?: number): Act => ({
  do: "choose",
  field,
  choice: max === undefined ? undefined : { max },
});
const light: Act = { do: "toggle", facet: { field: "light", mode: "any" }, option: "shade" };
const words = (text: string): Act => ({ do: "search", text });

/** Acts at their times in ms, and which of them went on with the one before. */
function goingOn(acts: readonly [at: number, act: Act][], paged = false): boolean[] {
  const steps = new Steps(() => paged);
  let place = startPlace;
  return acts.map(([at, act]) => {
    const before = place;
    place = nextPlace(before, act);
    return steps.goesOn(before, place, at);
  });
}

describe("steps of a shopper", () => {
  it("that drag one handle are one, until it rests", () => {
    const drag = [40, 39, 38, undefined].map((max, n): [number, Act] => [n * 30, to("price", max)]);
    expect(goingOn(drag)).toEqual([false, true, true, true]);
    expect(
      goingOn([
        [0, to("price", 40)],
        [1000, to("price", 39)],
        [2001, to("price", 38)],
      ]),
    ).toEqual([false, true, false]);
  });

  it("that move another field, or do something in between, are their own", () => {
    expect(
      goingOn([
        [0, to("price", 40)],
        [10, to("height", 40)],
        [20, to("price", 39)],
        [30, light],
        [40, to("price", 38)],
      ]),
    ).toEqual([false, false, false, false, false]);
    // Fields may be called anything.
    expect(
      goingOn([
        [0, to("constructor", 40)],
        [10, to("__proto__x", 39)],
        [20, to("constructor", 38)],
      ]),
    ).toEqual([false, false, false]);
  });

  it("that choose options are each their own, however quick they are", () => {
    const other: Act = { ...light, option: "full sun" } as Act;
    expect(
      goingOn([
        [0, light],
        [1, other],
        [2, { do: "clear" }],
      ]),
    ).toEqual([false, false, false]);
  });

  it("that type words are one", () => {
    expect(
      goingOn([
        [0, words("r")],
        [400, words("ro")],
        [800, words("rose")],
        [5000, words("")],
      ]),
    ).toEqual([false, true, true, false]);
  });

  it("after going back begin anew", () => {
    const steps = new Steps(() => false);
    const [first, second] = [40, 30].map((max) => nextPlace(startPlace, to("price", max)));
    expect(steps.goesOn(startPlace, first ?? startPlace, 0)).toBe(false);
    steps.rest();
    expect(steps.goesOn(startPlace, second ?? startPlace, 10)).toBe(false);
  });

  it("that show more of the same go on, and those that turn a page do not", () => {
    const turn: [number, Act][] = [[0, { do: "turn", page: 2 }]];
    expect([goingOn(turn), goingOn(turn, true)]).toEqual([[true], [false]]);
  });
});
