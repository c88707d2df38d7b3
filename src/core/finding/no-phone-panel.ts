import { resolve } from "../band/band.ts";
import type { FindingKind } from "./finding.ts";

/** The phone was forgotten. */
export const noPhonePanel: FindingKind = {
  name: "no-phone-panel",
  level: "error",
  find: ({ panel }) =>
    panel.rows.length > 0 && resolve(panel.placement, "slim") === "absent"
      ? [
          {
            band: "slim",
            words: "On a phone there is no panel at all.",
            remedy: { words: "Put it in a drawer", step: { do: "place", band: "slim", placement: "drawer" } },
          },
        ]
      : [],
};
