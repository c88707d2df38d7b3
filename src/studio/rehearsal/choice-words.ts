import type { Selection } from "../../core/engine/question.ts";

/** The choice in words, as far as the selection contains its label. */
export const choiceWords = ({ choices }: Selection): string =>
  Object.values(choices)
    .map((choice) =>
      "options" in choice
        ? choice.options.join(" or ")
        : [choice.min, choice.max ?? choice.below]
            .map((end) => (end === undefined ? "" : end.toPrecision(3)))
            .join("–"),
    )
    .join(", ");
