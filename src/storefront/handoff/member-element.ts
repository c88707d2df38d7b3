import type { PagePanel } from "../page/page-panel.ts";
import { Group, type Member } from "./group.ts";
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

  connectedCallback(): void {
    // An element that was only moved keeps its state.
    if (this.#group) return;
    this.#group = Group.named(this.getAttribute("group") ?? "");
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
