import { describe, expect, it } from "vitest";
import { findWording, wordingFindings } from "../../scripts/wording.mjs";

const found = (source: string) => findWording("x.tsx", source);

describe("the check of wording", () => {
  it.each([
    ["This can't be saved.", "use ’"],
    ["Loading the shop ...", "Loading…"],
    ["Loading the shop …", "Loading…"],
    ["About 33 % of them", "33%"],
    ["The value is another now", "changed"],
    ["This is no number.", "negate"],
    ["Values are parted by commas", "separated"],
    ["No panel stands here.", "appears"],
    ["Give all of it back", "reset"],
    ["Shown as usual", "default"],
    ["There is one value a cell", "per"],
    ["Take the files", "download"],
    ["Choose what you brought", "import"],
    ["Mend all of them", "fix"],
    ["Show it on the bench", "Panels"],
    ["Twelve products stated nothing", "have a value"],
    ["Nobody was found", "No shoppers match"],
    ["Choose the color of it", "British"],
  ])("finds “%s”, in a literal, a template and in markup", (text, advice) => {
    const as = [`const x = ${JSON.stringify(text)};`, `const x = \`${text} $\{y}\`;`, `const x = <p>${text}</p>;`];
    for (const source of as) expect(found(source).join(), source).toContain(advice);
  });

  it("passes over code, class names, comments and imports", () => {
    expect(
      found(
        'import x from "bench"; // the bench as usual\nconst y = <p className="flex items-center text-gray">{x}</p>;',
      ),
    ).toEqual([]);
  });

  it("finds nothing in the sources", () => {
    expect(wordingFindings()).toEqual([]);
  });
});
