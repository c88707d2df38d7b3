import { over } from "./colour.ts";
import { type LookValues, valueOn } from "./resolve.ts";

/** The ground that a look's panels stand on: their own over the page's. */
export function groundOf(look: LookValues): string {
  const page = over(String(valueOn(look, "ground.page") ?? "#ffffff"), "#ffffff");
  return over(String(valueOn(look, "panel.ground") ?? "#ffffff00"), page);
}
