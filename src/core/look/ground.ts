import { over } from "./colour.ts";
import { type LookValues, valueOn } from "./resolve.ts";

/** The background of a look's panels: their own over the page's. */
export function groundOf(look: LookValues): string {
  const page = over(String(valueOn(look, "ground.page") ?? "#ffffff"), "#ffffff");
  return over(String(valueOn(look, "panel.ground") ?? "#ffffff00"), page);
}
