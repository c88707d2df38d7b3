import type { SessionStore } from "./session.ts";

/** Takes a row in or out of those that are changed together. */
export function choose(session: SessionStore, id: string): void {
  const { chosen } = session.getState();
  session.setState({ chosen: chosen.includes(id) ? chosen.filter((one) => one !== id) : [...chosen, id] });
}
