import type { PagePanel } from "../page/page-panel.ts";
import { Group, type Member } from "./group.ts";
import { islandOf } from "./island-of.ts";
import type { OpenGroup } from "./open-group.ts";
import type { Island } from "./wire.ts";

/** An element that joins its group while it stands on the page. */
export abstract class MemberElement extends HTMLElement implements Member {
  #group: Group | undefined;
  #island: Island | undefined;

  abstract readonly panel: PagePanel | undefined;
  abstract readonly cards: boolean;
  abstract wake(open: OpenGroup): void;
  abstract show(open: OpenGroup): void;

  connectedCallback(): void {
    // An element that was only moved keeps what it has.
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

  /** The group that it stands in, while it does. */
  protected get group(): Group | undefined {
    return this.#group;
  }

  /** Lets go of what it has drawn. */
  protected sleep(): void {}

  get element(): HTMLElement {
    return this;
  }

  get island(): Island | undefined {
    this.#island ??= islandOf(this);
    return this.#island;
  }
}
