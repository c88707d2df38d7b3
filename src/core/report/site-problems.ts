import type { SiteCheck } from "../api/site-check.ts";

/** A number with its word. */
export const counted = (n: number, one: string, several = `${one}s`): string => `${n} ${n === 1 ? one : several}`;

/** Problems worth a look on a page of a site, in words. */
export function siteProblems({
  panels,
  listings,
  lists,
  bars,
  missingFonts: fonts,
  violations,
  shift,
}: SiteCheck): string[] {
  const some = (ids: readonly string[] = []) => ids.slice(0, 3).join(", ") + (ids.length > 3 ? ", …" : "");
  return [
    ...(panels.length === 0 ? ["There is no trellis-panel on this page."] : []),
    ...panels
      .filter(({ ready }) => !ready)
      .map(({ panel }) => `“${panel}” doesn’t respond. See the browser’s console.`),
    ...(listings + lists.length === 0
      ? ["There is no list: add a trellis-listing, or data-trellis-list to your own."]
      : []),
    ...lists.flatMap(({ unknown = [], missing = [], twice }) => [
      ...(unknown.length > 0
        ? [`The catalogue doesn’t contain ${counted(unknown.length, "product")} of the list (${some(unknown)}).`]
        : []),
      ...(missing.length > 0
        ? [`The list lacks ${counted(missing.length, "product")} of the page (${some(missing)}).`]
        : []),
      ...(twice.length > 0
        ? [`The list has ${counted(twice.length, "product")} more than once (${some(twice)}).`]
        : []),
    ]),
    ...(Math.abs(bars.measured - bars.expected) > 2
      ? [`Fixed bars cover ${bars.measured} px at the top; the shop expects ${bars.expected} px.`]
      : []),
    ...fonts.map((family) => `The typeface “${family}” isn’t there.`),
    ...violations.map((one) => `The page’s policy has refused ${one}.`),
    ...(shift > 0.1 ? [`The page has moved by ${shift} since it was opened (good: up to 0.1).`] : []),
  ];
}
