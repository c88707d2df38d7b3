import { type DisplayName, displayNames, displays } from "../../src/core/displays/displays.ts";
import { withHeldStates } from "../../src/core/look/held.ts";
import { dependents } from "../../src/core/look/resolve.ts";
import { propertyOf, selectorOf } from "../../src/core/look/sheet.ts";
import { parts, type Token, tokens } from "../../src/core/look/tokens.ts";
import { defaultLookSheet } from "../../src/core/panel/look/page-look.ts";
import { emptyPanel, newFacet } from "../../src/core/panel/panel.ts";
import type { FacetRow, PanelDocument } from "../../src/core/panel/panel-schema.ts";
import { newShop, origin } from "./bench.ts";
import { awake } from "./shop-page.ts";
import { expect, type Page, test } from "./test.ts";

/** Elements that are not on a page by themselves, or only for a moment: a bubble while dragging, search suggestions. */
const seldom = `
  <div class="zs-offers"></div><div class="zs-nothing"></div><select class="zs-variant"></select>
  <ul class="zs-list"><li class="zs-card"></li></ul><table class="zs-table"><tr><td><p class="zs-title">x</p></td></tr></table>
  <span class="zs-sold">x</span><p class="zs-price"><small>x</small><s>x</s><span class="zs-now">x</span></p>
  <span class="zs-label">x</span><div class="zs-picture">x</div>
  <div class="zs-result" data-busy="fade"></div><div class="zs-result" data-busy="bar"></div>
  <div class="zt-panel">
    <div class="zt-swatches"><label class="zt-swatch"><input type="checkbox"><span class="zt-dot">x</span><span class="zt-dot-on">x</span><span class="zt-dot-text">x</span><span class="zt-name"><span class="zt-count">1</span></span><span class="zt-count">1</span></label></div>
    <div class="zt-tags"><label class="zt-tile"><input type="checkbox"><span class="zt-count">1</span></label></div>
    <label class="zt-picture-tile" data-caption="under"><input type="checkbox"><span class="zt-initials">x</span><span class="zt-name"><span class="zt-count">1</span></span><span class="zt-count">1</span></label>
    <div class="zt-range"><div class="zt-track"></div><output class="zt-bubble">x</output><svg class="zt-bars"><path/><path data-in/><path data-empty/></svg></div>
    <h3 class="zt-title"><span class="zt-picked">1</span></h3><h2 class="zt-heading">x</h2><h3 class="zt-heading">x</h3><h4 class="zt-heading">x</h4><hr class="zt-divider">
    <p class="zt-tip">x</p><p class="zt-hint">x</p><div class="zt-text"><a href="/x">x</a></div>
    <div class="zt-tree"><div class="zt-tree"></div></div><span class="zt-badge">1</span>
    <div class="zt-facet"></div><div class="zt-piece"></div><button class="zt-clear">x</button>
    <button class="zt-chip">x</button><button class="zt-apply">x</button><button class="zt-drawer-button">x</button>
    <input class="zt-search" placeholder="x"><div class="zt-menu"></div>
    <details class="zt-many"><summary class="zt-select"></summary></details>
  </div>
  <dialog class="zt-drawer"><div class="zt-drawer-head"><h2>x</h2></div><div class="zt-drawer-scroll"></div><div class="zt-drawer-foot"></div></dialog>`;

const fields: Partial<Record<DisplayName, [field: string, mode: FacetRow["mode"]]>> = {
  "radio-buttons": ["hardiness", "one"],
  switch: ["pet-safe", "any"],
  swatches: ["flower-colour", "any"],
  "swatch-boxes": ["flower-colour", "any"],
  "picture-tiles": ["flower-colour", "any"],
  tree: ["category", "tree"],
  slider: ["mature-height", "range"],
  "slider-inputs": ["price", "range"],
  "number-inputs": ["rating", "range"],
  stars: ["rating", "range"],
  dates: ["dispatch-from", "range"],
  "price-ranges": ["price", "range"],
};

/** A panel with every display. Range facets over one field share their choice, which does no harm here. */
const everyDisplay: PanelDocument = {
  ...emptyPanel("Everything"),
  rows: displayNames.map((display) => {
    const [field, mode] = fields[display] ?? ["light", "any"];
    const carried = displays[display].modes.includes(mode) ? mode : displays[display].modes[0];
    return newFacet(`f-${display}`, field, display, carried);
  }),
};

/** Opens a page of a shop with a panel of every display. */
async function openEverything(page: Page, shop: string): Promise<void> {
  const made = await page.request.post(`/api/shops/${shop}/documents/panel`, {
    data: { document: everyDisplay },
    headers: origin,
  });
  expect(made.status(), await made.text()).toBe(201);
  await page.goto(`/draft/${shop}/?panel=everything`);
  await awake(page);
}

/** Another value than any that a token has by itself, of its type. */
function other(token: Token): string {
  switch (token.type) {
    case "colour":
      return "rgb(1, 2, 3)";
    case "length":
      return "37px";
    case "number":
      return "0.37";
    case "weight":
      return "321";
    case "time":
      return "371ms";
    case "font":
      return "Fantasia, cursive";
    case "shadow":
      return "3px 4px 5px 6px rgb(1, 2, 3)";
    case "picture":
      return 'url("/x.png")';
    case "choice":
      return "";
  }
}

/** The other values that a token may have, each by the ends of the properties that it writes. */
const others = (token: Token): Record<string, string>[] =>
  token.type === "choice"
    ? Object.values(token.choices ?? {}).map((choice) => ({ ...choice }))
    : [{ "": other(token) }];

/** The state to put the page into: some selectors name a state themselves. */
function stateOf(effects: Token): string {
  const all = (word: string) => effects.to.every(([selector]) => selector.includes(word));
  if (all(":has(:checked)")) return "chosen";
  return all("[data-faded]") ? "unavailable" : effects.state;
}

interface Probe {
  name: string;
  state: string;
  property: string;
  values: Record<string, string>[];
  effects: { selector: string; property: string }[];
}

const probeOf = (token: Token, effects = token): Probe => ({
  name: token.name,
  state: stateOf(effects),
  property: propertyOf(token.name),
  values: others(token),
  effects: effects.to
    // A choice that writes under its own name is enough, where it writes that at all.
    .filter((effect) => !effect[2] || effects.to.every(([, , end]) => end))
    .map((effect) => ({
      selector: withHeldStates(selectorOf(parts[effects.part] as (typeof parts)[string], effects.state, effect)),
      property: effect[1],
    })),
});

/** Puts the whole page into a state, sets each token to another value, and says which of them changed nothing. */
const withoutEffect = (page: Page, probes: readonly Probe[]): Promise<string[]> =>
  page.evaluate((all) => {
    const root = document.documentElement;
    const every = (selector: string) => [...document.querySelectorAll<HTMLElement>(selector)];
    const put = (state: string) => {
      const [chosen, hovered] = [state.startsWith("chosen"), state.endsWith("hovered")];
      for (const one of every("body *")) {
        if (hovered) one.dataset.held = "hovered";
        else if (state === "focused") one.dataset.held = "within focused";
        else delete one.dataset.held;
        if (state === "unavailable" && one.matches("label")) one.dataset.faded = "";
        else delete one.dataset.faded;
        if (one instanceof HTMLInputElement && /checkbox|radio/.test(one.type)) one.checked = chosen;
        if (one instanceof HTMLButtonElement) one.disabled = state === "unavailable";
        if (one.matches(".zt-drawer-button")) one.toggleAttribute("data-active", chosen);
      }
    };
    const read = ({ selector, property }: Probe["effects"][number]) => {
      const pseudo = /::[\w-]+/.exec(selector)?.[0];
      return every(selector.replace(/::[\w-]+/, "") || "html")
        .slice(0, 40)
        .map((element) => getComputedStyle(element, pseudo).getPropertyValue(property))
        .join("|");
    };
    const states = [...new Set(all.map(({ state }) => state))];
    const lost: string[] = [];
    for (const state of states) {
      put(state);
      // All that is read before comes first: each change makes the browser work out the whole page's style anew.
      const probes = all
        .filter((one) => one.state === state)
        .map((probe) => ({ probe, before: probe.effects.map(read) }));
      for (const { probe, before } of probes) {
        const changed = probe.values.some((value) => {
          for (const end in value) root.style.setProperty(probe.property + end, value[end] ?? "");
          const after = probe.effects.map(read);
          for (const end in value) root.style.removeProperty(probe.property + end);
          return after.some((text, n) => text !== before[n]);
        });
        if (!changed) lost.push(`${probe.name} (${probe.state})`);
      }
    }
    return lost;
  }, probes);

test("every token that is changed is seen in computed style, in its state", async ({ page }) => {
  const shop = await newShop(page.request, "Tokens");
  await openEverything(page, shop);
  const css = await (await page.request.get("/storefront/style.css?band=wide")).text();
  await page.evaluate(
    ([sheet = "", html = ""]) => {
      document.querySelector("#zt-style")?.remove();
      const style = document.createElement("style");
      style.textContent = sheet;
      document.head.append(style);
      const more = document.createElement("div");
      more.className = "zs-shop";
      more.innerHTML = html;
      document.body.append(more);
      // Every style is worked out anew for each token: a few of each thing are as good as all of them.
      for (const one of document.querySelectorAll(
        ".zs-card:nth-child(n+2), .zt-facet li:nth-child(n+4), .zs-nav a:nth-child(n+2)",
      ))
        one.remove();
    },
    [withHeldStates(css), seldom],
  );
  const shown = [...tokens.values()].filter(({ to }) => to.length > 0);
  expect(shown.length).toBeGreaterThan(400);
  expect(
    await withoutEffect(
      page,
      shown.map((token) => probeOf(token)),
    ),
  ).toEqual([]);

  // Basic values are seen where other tokens follow them; a few are only in the style sheet itself.
  const onMediumOnly = ["space.5xl"];
  const basics = [...tokens.values()].filter(({ to }) => to.length === 0);
  const followers = new Map(
    basics.map((token) => [
      token.name,
      [...dependents({ values: {}, dark: {} }, [token.name])]
        .map((name) => tokens.get(name))
        .filter((one) => one !== undefined)
        .filter((one) => one.to.length > 0),
    ]),
  );
  const probes = basics.flatMap((token) =>
    (followers.get(token.name) ?? []).map((follower) => ({
      ...probeOf(token, follower),
      name: `${token.name} in ${follower.name}`,
    })),
  );
  const lost = new Set(await withoutEffect(page, probes));
  const seen = probes
    .filter(({ name, state }) => !lost.has(`${name} (${state})`))
    .map(({ name }) => name.split(" ")[0]);
  const followed = basics.filter(({ name }) => (followers.get(name) ?? []).length > 0).map(({ name }) => name);
  expect(followed.length).toBeGreaterThan(25);
  expect(followed.filter((name) => !seen.includes(name))).toEqual(onMediumOnly);
  const inSheet = basics.filter(({ name }) => !followed.includes(name) || onMediumOnly.includes(name));
  for (const { name } of inSheet) expect(css + defaultLookSheet(), name).toContain(`var(${propertyOf(name)})`);
});

test("states held open look as real pointing, focusing and choosing do", async ({ page }) => {
  const shop = await newShop(page.request, "Held");
  await openEverything(page, shop);
  const css = withHeldStates(await (await page.request.get("/storefront/style.css?band=wide")).text());
  await page.evaluate((sheet) => {
    document.querySelector("#zt-style")?.remove();
    const style = document.createElement("style");
    style.textContent = sheet;
    document.head.append(style);
  }, css);
  /** All that is seen of an option: the styles of everything in it. */
  const look = (selector: string) =>
    page
      .locator(selector)
      .first()
      .evaluate((element) =>
        [element, ...element.querySelectorAll("*")]
          .flatMap((one) => [getComputedStyle(one), getComputedStyle(one, "::before")])
          .map((style) =>
            [
              "color",
              "background-color",
              "border-color",
              "outline-color",
              "outline-style",
              "outline-width",
              "box-shadow",
              "font-weight",
              "text-decoration-line",
            ]
              .map((name) => style.getPropertyValue(name))
              .join(),
          )
          .join("\n"),
      );
  const hold = (selector: string, held: string | null) =>
    page
      .locator(selector)
      .first()
      .evaluate((element, state) => {
        for (const one of [element, ...element.querySelectorAll("input")])
          if (state === null) one.removeAttribute("data-held");
          else
            one.setAttribute(
              "data-held",
              state === "focused" && one === element && one.matches("label") ? "within" : state,
            );
        if (state === "hovered") for (const one of element.querySelectorAll("input")) one.removeAttribute("data-held");
      }, held);
  for (const [row, part] of [
    ["check-boxes", ".zt-box"],
    ["tiles", ".zt-tile"],
    ["tags", ".zt-tile"],
    ["toggles", ".zt-tile"],
    ["swatches", ".zt-swatch"],
    ["picture-tiles", ".zt-picture-tile"],
    ["plain-list", ".zt-plain-option"],
    ["dropdown", ".zt-select"],
    ["switch", ".zt-switch"],
  ] as const) {
    const selector = `[data-row="f-${row}"] ${part}`;
    await page.mouse.move(0, 0);
    const rest = await look(selector);
    await page.locator(selector).first().hover();
    const hovered = await look(selector);
    await page.mouse.move(0, 0);
    await hold(selector, "hovered");
    expect(await look(selector), `${row}, hovered`).toBe(hovered);
    await hold(selector, null);
    expect(await look(selector), `${row}, at rest again`).toBe(rest);
    const focusable = part === ".zt-select" ? selector : `${selector} input`;
    await page.locator(focusable).first().focus();
    // Only what the keyboard brings has a ring.
    await page.keyboard.press("Shift");
    const focused = await look(selector);
    await page.locator(focusable).first().blur();
    await hold(selector, "focused");
    expect(await look(selector), `${row}, focused`).toBe(focused);
    await hold(selector, null);
    expect(focused, `${row} has a focus mark`).not.toBe(rest);
  }
});
