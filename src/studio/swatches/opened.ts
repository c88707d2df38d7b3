import { contrastAgain, deltaEAgain } from "../../core/recount/colours.ts";
import {
  contrast,
  lowestContrast,
  seenAs,
  smallestDifference,
  swatchDifference,
  type Vision,
  visions,
} from "../../core/swatch/measure.ts";
import type { OpenedNumber } from "../numbers/opened-number.ts";
import type { BookValue } from "./value-row.tsx";

/** The lowest contrast of a swatch's colours with a background. */
export const lowestContrastOn = (colours: readonly string[], ground: string): number =>
  Math.min(...colours.map((colour) => contrast(colour, ground)));

/** The contrast of a swatch with its background, as a number that opens. */
export const contrastNumber = (label: string, colours: readonly string[], ground: string): OpenedNumber => ({
  title: `Contrast of ${label}`,
  says: `How much lighter or darker ${label} is than the look’s background, ${ground}. Below ${lowestContrast}:1 many people can’t see its edge, so it gets an outline.`,
  told: lowestContrastOn(colours, ground),
  behind: {
    lines: colours.map((colour) => ({
      words: `${colour} on ${ground}`,
      more: `${contrastAgain(colour, ground).toFixed(2)}:1`,
    })),
    again: Math.min(...colours.map((colour) => contrastAgain(colour, ground))),
    how: "by the formula of WCAG 2.2",
  },
});

const eyes: Record<Vision, string> = {
  usual: "Normal colour vision",
  protan: "Without red cones",
  deutan: "Without green cones",
  tritan: "Without blue cones",
};

/** The difference of two swatches, as a number that opens. */
export function pairNumber(
  one: BookValue | undefined,
  other: BookValue | undefined,
  told: number,
  limit: number,
): OpenedNumber {
  const [a, b] = [one?.view.colours ?? [], other?.view.colours ?? []];
  const [first, second] = [one?.label ?? "", other?.label ?? ""];
  return {
    title: `${first} and ${second}`,
    says: `Colour difference (ΔE) between the two swatches, for the kind of colour vision that sees the smallest difference. A difference of 2 is barely visible side by side. Below the limit of ${limit}, shoppers can mistake one for the other.`,
    told,
    behind: {
      lines: visions.map((vision) => ({
        words: `${eyes[vision]}: ${a.map((colour) => seenAs(colour, vision)).join(" ")} and ${b.map((colour) => seenAs(colour, vision)).join(" ")}`,
        more: swatchDifference(a, b, vision, deltaEAgain).toFixed(2),
      })),
      again: smallestDifference(a, b, limit, deltaEAgain).difference,
      how: "by the formula of Sharma, Wu and Dalal (2005)",
    },
  };
}
