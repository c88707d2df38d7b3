import type { ComponentChildren } from "preact";

/** Rendering where no scripts run yet. */
export const isStill = typeof document === "undefined";

/** Content for shoppers without scripts. Not rendered where scripts run. */
export const WithoutScripts = ({ children }: { children: ComponentChildren }) =>
  isStill ? <noscript>{children}</noscript> : null;
