// @vitest-environment happy-dom
import { render } from "preact";
import { act } from "preact/test-utils";
import { afterEach, beforeEach, describe, expect, it, vi } from "vitest";
import type { Choice } from "../../core/engine/question.ts";
import { choiceOf } from "../../core/engine/selection.ts";
import type { PanelState } from "./panel-state.ts";
import { useOptimisticState } from "./use-optimistic-state.ts";

let root: HTMLElement;
let choose: (choice: Choice | undefined) => void;
const performed = vi.fn();

function Facet({ state }: { state: PanelState }) {
  const ahead = useOptimisticState("price", state, performed);
  choose = (choice) => ahead.perform({ do: "choose", field: "price", choice });
  return <output>{JSON.stringify(choiceOf(ahead.state.selection, "price") ?? null)}</output>;
}
/** The page's final state. */
const come = (choice?: Choice) =>
  act(() =>
    render(
      <Facet state={{ selection: { text: "", choices: choice ? { price: choice } : {} } } as unknown as PanelState} />,
      root,
    ),
  );
const press = (choice?: Choice) => act(() => choose(choice));
const shown = () => JSON.parse(root.textContent ?? "") as Choice | null;

beforeEach(() => {
  vi.useFakeTimers();
  root = document.body.appendChild(document.createElement("div"));
});
afterEach(() => {
  render(null, root);
  root.remove();
  vi.useRealTimers();
});

describe("what was just chosen in a facet", () => {
  it("shows at once, and no older place of a drag puts it back", () => {
    come();
    for (const min of [50, 60, 70]) press({ min });
    expect([shown(), performed.mock.calls.length]).toEqual([{ min: 70 }, 3]);
    come({ min: 50 });
    expect(shown()).toEqual({ min: 70 });
    // Pages may skip what is between.
    come({ min: 70 });
    expect(shown()).toEqual({ min: 70 });
    press();
    expect(shown()).toBeNull();
    come({ min: 70 });
    expect(shown()).toBeNull();
    come();
    expect(shown()).toBeNull();
  });

  it("gives way to what is chosen elsewhere, and to a page that has not done it", () => {
    come({ min: 10 });
    press({ min: 50 });
    come({ max: 5 });
    expect(shown()).toEqual({ max: 5 });
    press({ min: 60 });
    expect(shown()).toEqual({ min: 60 });
    act(() => void vi.advanceTimersByTime(1000));
    expect(shown()).toEqual({ max: 5 });
  });
});
