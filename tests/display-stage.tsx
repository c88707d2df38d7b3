import { render } from "preact";
import { act } from "preact/test-utils";
import { afterEach, beforeEach, vi } from "vitest";
import type { DisplayName } from "../src/core/displays/displays.ts";
import type { Choice, Mode } from "../src/core/engine/question.ts";
import { newFacet } from "../src/core/panel/panel.ts";
import { type SettingValues, settingsOn } from "../src/core/settings/settings.ts";
import { putAllViews } from "../src/storefront/panel/displays/all.ts";
import type { DisplayProps, OptionView } from "../src/storefront/panel/displays/display-props.ts";
import { viewOf } from "../src/storefront/panel/displays/views.ts";
import { sayOf } from "../src/storefront/words/spoken.ts";

/** An option of a display, found in three products and not chosen. */
export const option = (id: string, more: Partial<OptionView> = {}): OptionView => ({
  id,
  label: id[0].toUpperCase() + id.slice(1),
  count: 3,
  chosen: false,
  faded: false,
  swatch: undefined,
  ...more,
});

export const labelOf = (element: Element) => element.closest("label")?.textContent?.trim();

/** Where the tests of a file draw displays, each test on an empty page. For happy-dom. */
export function displayStage() {
  putAllViews();
  let root: HTMLElement;
  beforeEach(() => {
    root = document.body.appendChild(document.createElement("div"));
  });
  afterEach(() => {
    render(null, root);
    root.remove();
  });
  const find = <E extends Element>(selector: string) => root.querySelector<E>(selector);
  const findAll = <E extends Element>(selector: string) => [...root.querySelectorAll<E>(selector)];
  return {
    find,
    findAll,
    text: () => root.textContent,
    inputs: () => findAll<HTMLInputElement>("input"),
    input(type: string, value: string): HTMLInputElement {
      const found = find<HTMLInputElement>(`input[type=${type}][value="${value}"]`);
      if (!found) throw new Error(`There is no ${type} for ${value}.`);
      return found;
    },
    /** Takes away what was drawn, so that the next is drawn from nothing. */
    empty: () => render(null, root),
    /** Draws a display of colours on the wide band. @returns what it tells of a shopper's acts */
    show(name: DisplayName, props: Partial<DisplayProps> = {}, mode: Mode = "any", settings: SettingValues = {}) {
      const toggle = vi.fn<(id: string) => void>();
      const choose = vi.fn<(choice: Choice | undefined) => void>();
      const View = viewOf(name)?.View;
      if (!View) throw new Error(`There is no view of ${name}.`);
      act(() =>
        render(
          <View
            row={newFacet("f", "colour", "check-boxes", mode)}
            name="colour"
            settings={settingsOn(settings, "wide")}
            ranges={[]}
            say={sayOf("en")}
            language="en"
            field={{ key: "colour", name: "Colour", role: "attribute", kind: "text" }}
            label="Colour"
            id="f"
            options={[]}
            choice={undefined}
            range={undefined}
            toggle={toggle}
            choose={choose}
            peek={() => undefined}
            format={(value) => `€${value}`}
            {...props}
          />,
          root,
        ),
      );
      return { toggle, choose };
    },
  };
}
