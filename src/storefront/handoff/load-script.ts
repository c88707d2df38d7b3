/** The fault of a script that the browser could not load, or refused. */
export const notOurs = "It is missing, or differs from the handoff’s.";

/**
 * Loads a script of the handoff and takes its tag away again, so that the head stays as the site has made it.
 * @throws Error if it is missing or differs from its integrity hash
 */
export function loadScript(src: string, integrity: string, type: "module" | "" = "module"): Promise<void> {
  const script = document.createElement("script");
  Object.assign(script, { type, src, integrity, crossOrigin: "anonymous" });
  const loaded = new Promise<void>((done, failed) => {
    script.addEventListener("load", () => done());
    script.addEventListener("error", () => failed(new Error(notOurs)));
  });
  document.head.append(script);
  return loaded.finally(() => script.remove());
}
