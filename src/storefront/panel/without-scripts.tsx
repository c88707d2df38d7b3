import type { ComponentChildren } from "preact";

/** The page is drawn where no script of it runs yet. */
export const isStill = typeof document === "undefined";

/** What is there for who has no scripts. Where some run it is not even drawn. */
export const WithoutScripts = ({ children }: { children: ComponentChildren }) =>
  isStill ? <noscript>{children}</noscript> : null;
