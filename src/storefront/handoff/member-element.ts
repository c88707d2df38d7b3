import type { Band } from "../../core/settings/band.ts";
import type { PagePanel } from "../page/page-panel.ts";
import { tell } from "./events.ts";
import { troubleOf } from "./faults.ts";
import { fillElement } from "./fill.ts";
import { Group, type Member } from "./group.ts";
import { groupOf } from "./group-name.ts";
import { islandOf } from "./island-of.ts";
import type { OpenGroup } from "./open-group.ts";
import type { Island } from "./wire.ts";

/** An element that joins its group while it is connected. */
export abstract class MemberElement extends HTMLElement implements Member {
  #group: Group | undefined;
  #island: Island | undefined;

  abstract readonly panel: PagePanel | undefined;
  abstract readonly cards: boolean;
  abstract wake(open: OpenGroup): void;
  abstract show(open: OpenGroup): void;

  /** Where it is; undefined until it responds. */
  get place(): { page: string; band: Band; edition?: number | undefined } | undefined {
    const open = this.#group?.open;
    if (!open) return undefined;
    const { shown, band } = open.store.state;
    const { edition } = open.shop;
    return { page: shown.address, band, ...(edition === undefined ? {} : { edition }) };
  }

  /** Name of the markup that fills it if it has none; undefined if it needs its own. */
  protected abstract readonly piece: string | undefined;

  connectedCallback(): void {
    // An element that was only moved keeps its state.
    if (this.#group || !this.isConnected) return;
    // Its content may not be there yet.
    if (document.readyState === "loading") {
      document.addEventListener("DOMContentLoaded", () => this.connectedCallback(), { once: true });
      return;
    }
    const { piece } = this;
    if (this.island || piece === undefined) this.#join();
    else
      fillElement(this, piece).then(
        () => {
          if (this.isConnected && !this.#group) this.#join();
        },
        (error: unknown) => {
          const trouble = troubleOf(error);
          console.error(`trellis: ${trouble.message}`);
          tell(this, "trouble", { group: this.#groupName, ...trouble }, true);
        },
      );
  }

  get #groupName(): string {
    return groupOf(this);
  }

  #join(): void {
    this.#group = Group.named(this.#groupName);
    this.#group.join(this);
  }

  disconnectedCallback(): void {
    queueMicrotask(() => {
      if (this.isConnected) return;
      this.sleep();
      this.#group?.leave(this);
      this.#group = undefined;
    });
  }

  /** Its group, while connected. */
  protected get group(): Group | undefined {
    return this.#group;
  }

  /** Removes its rendered content. */
  protected sleep(): void {}

  get element(): HTMLElement {
    return this;
  }

  get island(): Island | undefined {
    this.#island ??= islandOf(this);
    return this.#island;
  }
}
