import type { SessionStore } from "./session.ts";

/** Adds a row to those that are changed together, or removes it. */
export function choose(session: SessionStore, id: string): void {
  const { chosen } = session.getState();
  session.setState({ chosen: chosen.includes(id) ? chosen.filter((one) => one !== id) : [...chosen, id] });
}
