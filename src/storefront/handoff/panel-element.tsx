import { hydrate, render } from "preact";
import { useLayoutEffect, useMemo, useRef, useState } from "preact/hooks";
import type { Choice, Selection } from "../../core/engine/question.ts";
import { isSamePlace, startPlace } from "../../core/page/browse-state/browse-state.ts";
import { placementFacts } from "../../core/settings/placement.ts";
import { Leaving, leaveFor } from "../page/leaving.ts";
import { behaviourOn, displaysOf, type PagePanel, placeOf } from "../page/page-panel.ts";
import { keepRow } from "../page/sticky-row.ts";
import type { PageStore } from "../page/store.ts";
import { viewOf } from "../panel/displays/views.ts";
import { type Peek, PeekContext } from "../panel/peek.ts";
import { keepHeight } from "./awaiting.ts";
import { HandoffFault } from "./faults.ts";
import { MemberElement } from "./member-element.ts";
import type { OpenGroup } from "./open-group.ts";
import { PanelBody } from "./panel-body.tsx";
import { unparkStyles } from "./parked-styles.ts";
import { showResults } from "./results.ts";

/** `<trellis-panel>`: a panel of filters. Hydrates its drawn markup. */
export class TrellisPanel extends MemberElement {
  #woken = false;
  /** Ends being sticky, while it is, and ends following the band. */
  #unstick: (() => void) | undefined;
  #unfollow: (() => void) | undefined;

  /** The selection of the page; can be set. Undefined before the panel is ready. */
  get selection(): Selection | undefined {
    return this.group?.open?.store.state.selection;
  }
  set selection(selection: Selection | undefined) {
    const store = this.group?.open?.store;
    if (store) store.go({ ...store.state, selection: selection ?? { choices: {}, text: "" }, page: 1 });
  }

  /** Number of products found, out of all on the page; undefined before the panel is ready. */
  get results(): { total: number; outOf: number } | undefined {
    const answer = this.group?.open?.store.state.answer;
    return answer && { total: answer.total, outOf: answer.outOf };
  }

  /** The ids of all products found, in order. */
  found(): string[] {
    return this.group?.found() ?? [];
  }

  /** Sets the choice of one field: `{ options: […] }` or `{ min, max }`; undefined clears it. */
  choose(field: string, choice?: Choice): void {
    this.group?.open?.store.perform({ do: "choose", field, choice });
  }

  /** Takes every choice back. */
  clear(): void {
    this.group?.open?.store.perform({ do: "clear" });
  }

  /** Opens the panel's drawer, if it has one at this width. */
  openDrawer(): void {
    this.group?.open?.store.openDrawer(this.panel?.slug);
  }

  closeDrawer(): void {
    this.group?.open?.store.openDrawer(undefined);
  }

  get panel(): PagePanel | undefined {
    const one = this.island?.panel;
    const page = this.island?.page;
    if (!one || !page) return undefined;
    return this.#action === undefined
      ? one
      : {
          ...one,
          target: { address: "", within: one.target?.within ?? page.within, form: one.target === undefined },
        };
  }

  protected get piece(): string | undefined {
    return this.getAttribute("name") ?? undefined;
  }

  get cards(): boolean {
    return false;
  }

  wake(open: OpenGroup): void {
    const one = this.panel;
    if (!one) return;
    const lacking = displaysOf([one]).filter((name) => !viewOf(name));
    if (lacking.length > 0) {
      open.group.fault(
        new HandoffFault("display", `The script lacks ${lacking.join(", ")}. Put the current tags into the page.`),
      );
      return;
    }
    const root = this.#root ?? this.appendChild(Object.assign(document.createElement("div"), { className: "zt-root" }));
    const body = (
      <LivePanel store={open.store} slug={one.slug} action={this.#action} back={() => this.#backToTop(open)} />
    );
    const takesOver = !this.#woken && this.#readyMarkup(root, open);
    this.#woken = true;
    if (takesOver) keepHeight(this);
    if (takesOver) hydrate(body, root);
    else render(body, root);
    this.#stay(open);
  }

  /** Makes it sticky above the list, on the bands with that setting. */
  #stay({ store }: OpenGroup): void {
    const one = this.panel;
    const stays = () =>
      one !== undefined &&
      placementFacts[placeOf(one, store.state.band)].sticks === "row" &&
      behaviourOn(one.panel, store.state.band).sticky;
    const follow = () => {
      if (stays() === (this.#unstick !== undefined)) return;
      this.#unstick?.();
      this.#unstick = stays() ? keepRow(this) : undefined;
    };
    this.#unfollow?.();
    this.#unfollow = store.subscribe(follow);
    follow();
  }

  /** Prepares drawn markup for hydration. @returns whether it can be hydrated; if not, it is removed */
  #readyMarkup(root: HTMLElement, { store, drawn }: OpenGroup): boolean {
    // Markup is drawn without a selection, so a panel that joins a group with one is drawn anew.
    if (this.island?.drawn !== drawn || !isSamePlace(store.state, startPlace)) root.replaceChildren();
    // It is drawn for every band; this one's is hydrated, and the others were never visible.
    for (const other of root.querySelectorAll<HTMLElement>("[data-bands]"))
      if (!other.dataset.bands?.split(" ").includes(store.state.band)) other.remove();
    unparkStyles(root);
    return root.hasChildNodes();
  }

  /** A panel rerenders itself when its store changes. */
  show(): void {}

  protected override sleep(): void {
    this.#woken = false;
    this.#unfollow?.();
    this.#unstick?.();
    this.#unstick = undefined;
    if (this.#root) render(null, this.#root);
  }

  get #root(): HTMLElement | null {
    return this.querySelector<HTMLElement>(":scope > .zt-root");
  }

  /** The site's own target of choices; undefined if they stay on the page. */
  get #action(): string | undefined {
    return this.getAttribute("action") ?? this.island?.panel?.target?.address;
  }

  /** After a choice, scrolls to the top of the results if the panel wants it and they are out of sight. */
  #backToTop(open: OpenGroup): void {
    const one = this.panel;
    if (one && behaviourOn(one.panel, open.store.state.band).back === "top") showResults(open);
  }
}

interface LiveProps {
  store: PageStore;
  slug: string;
  action: string | undefined;
  /** After a choice. */
  back(): void;
}

function LivePanel({ store, slug, action, back }: LiveProps) {
  const [state, setState] = useState(store.state);
  useLayoutEffect(() => {
    setState(store.state);
    return store.subscribe(setState);
  }, [store]);
  const apply = () => {
    const query = store.apply(slug);
    store.openDrawer(undefined);
    if (query === undefined || action === undefined) back();
    else leaveFor(store, slug, joined(action, query));
  };
  const latest = useRef(apply);
  latest.current = apply;
  const leaving = useMemo(() => new Leaving(store, () => latest.current()), [store]);
  const one = state.panels.find((panel) => panel.slug === slug);
  if (!one) return null;
  const peek: Peek = (panel, act) => store.peek(panel, act);
  return (
    <PeekContext.Provider value={peek}>
      <PanelBody
        one={one}
        states={[state]}
        action={action}
        perform={(act) => {
          store.performIn(slug, act);
          leaving.after(act, slug);
          back();
        }}
        apply={apply}
        openDrawer={(panel) => {
          // Closing a drawer without its button discards the choices made in it.
          if (panel === undefined && store.state.drawer !== undefined) store.discard(store.state.drawer);
          store.openDrawer(panel);
        }}
      />
    </PeekContext.Provider>
  );
}

/** An address with a query appended to its own. */
const joined = (action: string, query: string): string =>
  action.includes("?") ? `${action}&${query.slice(1)}` : action + query;
