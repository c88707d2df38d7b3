// @vitest-environment happy-dom
import { afterEach, beforeEach, describe, expect, it, vi } from "vitest";
import type { Act } from "../../core/page/browse-state/browse-state.ts";
import { Leaving } from "./leaving.ts";
import type { PageStore } from "./store.ts";

const toggle: Act = { do: "toggle", facet: { field: "light", mode: "any" }, option: "shade" };
const range: Act = { do: "choose", field: "height", choice: { min: 20 } };
const takenBack: Act = { do: "choose", field: "height", choice: undefined };
const link: Act = { do: "only", field: "light", choice: { options: ["shade"] } };

/** When the shopper leaves after acts, so many ms apart, in a panel that leads elsewhere in a way. */
async function leavings(leads: "once" | "button" | undefined, acts: readonly Act[], apart = 100): Promise<number[]> {
  const start = Date.now();
  const left: number[] = [];
  const leaving = new Leaving({ leads: () => leads } as unknown as PageStore, () => left.push(Date.now() - start));
  for (const act of acts) {
    leaving.after(act, "finder");
    await vi.advanceTimersByTimeAsync(apart);
  }
  await vi.advanceTimersByTimeAsync(5000);
  return left;
}

describe("a panel that sends its choices on", () => {
  beforeEach(() => void vi.useFakeTimers());
  afterEach(() => void vi.useRealTimers());

  it("leaves at the first choice where it acts at once, and waits until a range is done", async () => {
    expect(await leavings("once", [toggle])).toEqual([0]);
    expect(await leavings("once", [range, range, range])).toEqual([1000]);
    const held = document.body.appendChild(Object.assign(document.createElement("input"), { type: "range" }));
    vi.spyOn(document, "querySelector").mockReturnValueOnce(held).mockReturnValue(null);
    expect(await leavings("once", [range])).toEqual([1600]);
    vi.restoreAllMocks();
  });

  it("stays for what is taken back, cleared or typed, with a button, and on its own page", async () => {
    const search: Act = { do: "search", text: "iv" };
    for (const act of [takenBack, { do: "clear" } as const, search]) expect(await leavings("once", [act])).toEqual([]);
    expect(await leavings("once", [range, takenBack])).toEqual([]);
    expect(await leavings("button", [toggle])).toEqual([]);
    expect(await leavings(undefined, [toggle, link])).toEqual([]);
  });

  it("follows a link at once, also beside choices that wait for a button", async () => {
    expect(await leavings("button", [link])).toEqual([0]);
  });
});
