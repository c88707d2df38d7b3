import type { ComponentChildren } from "preact";
import { useEffect, useRef } from "preact/hooks";
import type { Behaviour } from "../../core/settings/behaviour.ts";
import type { Say } from "../words/say.ts";
import { WithoutScripts } from "./without-scripts.tsx";

interface Props {
  /** Its id, for the link that opens it without scripts. */
  id: string;
  open: boolean;
  /** Its title. */
  title: string;
  /** Number of products found; undefined if unknown. */
  total: number | undefined;
  say: Say;
  /** The side it opens from, and its width in CSS px. */
  from: Behaviour["drawerFrom"];
  width: number;
  /** Its panel has its own button, which closes the drawer too or leads to another page. */
  ownButton: boolean;
  close(): void;
  children: ComponentChildren;
}

/** A drawer at a side or at the bottom. The browser's modal dialog traps focus and returns it to the button. */
export function Drawer({ id, open, title, total, say, from, width, ownButton, close, children }: Props) {
  const dialog = useRef<HTMLDialogElement>(null);
  useEffect(() => {
    const box = dialog.current;
    if (!box || box.open === open) return;
    if (open) box.showModal();
    else box.close();
  }, [open]);
  return (
    // A click on the backdrop closes; the keyboard's way is Escape, which the browser brings.
    // biome-ignore lint/a11y/useKeyWithClickEvents: see above
    <dialog
      ref={dialog}
      id={id}
      class="zt-drawer"
      data-from={from}
      style={{ "--zt-drawer-width": `${width}px` }}
      aria-label={title}
      onClose={close}
      onClick={(event) => {
        if (event.target === dialog.current) close();
      }}
    >
      <div class="zt-drawer-body">
        <header class="zt-drawer-head">
          <h2>{title}</h2>
          <button type="button" class="zt-close" aria-label={say("closeFilters")} onClick={close}>
            <Cross />
          </button>
          <WithoutScripts>
            <a class="zt-close" href={`#${id}-shut`} aria-label={say("closeFilters")}>
              <Cross />
            </a>
          </WithoutScripts>
        </header>
        <div class="zt-drawer-scroll">{children}</div>
        {ownButton ? null : (
          <footer class="zt-drawer-foot">
            <button type="button" class="zt-apply" onClick={close}>
              {total === undefined ? say("show") : say("showFound", { n: total })}
            </button>
          </footer>
        )}
      </div>
    </dialog>
  );
}

const Cross = () => (
  <svg width="16" height="16" viewBox="0 0 16 16" aria-hidden="true">
    <path d="M2 2l12 12M14 2L2 14" stroke="currentColor" stroke-width="2" stroke-linecap="round" />
  </svg>
);
