import { inEachFacet } from "./finding.ts";

/** A facet with an option style that its look no longer has; it uses the look's own style. */
export const styleGone = inEachFacet({
  name: "style-gone",
  level: "warning",
  needs: "look",
  find: ({ row, title }, { look }) =>
    !look || row.style === undefined || look.styles.some(({ id }) => id === row.style)
      ? undefined
      : {
          row: row.id,
          words: `${title} uses the option style “${row.style}”, which its look no longer has. It is shown without it.`,
          remedy: { words: "Remove the style", step: { do: "style", row: row.id } },
        },
});
