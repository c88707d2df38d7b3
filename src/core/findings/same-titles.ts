import type { FindingKind } from "./finding.ts";

/** Share of products with the same title from which a list of them is useless. Common practice, no source. */
const most = 0.5;

/** Products with the same title, so that their cards cannot be told apart. */
export const sameTitles: FindingKind = {
  name: "same-titles",
  level: "warning",
  async find({ facts }) {
    const profiles = await facts.profiles();
    const title =
      profiles.find(({ field }) => field.role === "title") ?? profiles.find(({ field: { titles } }) => titles);
    if (!title || title.outOf < 2 || title.commonest <= title.outOf * most) return [];
    return [
      {
        words: `${title.commonest} of ${title.outOf} products are called “${title.samples[0]}”, so shoppers can’t tell them apart.`,
      },
    ];
  },
};
