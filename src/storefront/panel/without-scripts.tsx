import type { ComponentChildren } from "preact";

/** The page is drawn where no script of it runs yet. */
export const isStill = typeof document === "undefined";

/** Parts for shoppers without scripts. Where scripts run they are not even drawn. */
export const WithoutScripts = ({ children }: { children: ComponentChildren }) =>
  isStill ? <noscript>{children}</noscript> : null;
