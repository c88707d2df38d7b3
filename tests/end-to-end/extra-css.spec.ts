import { contain, randomSheets } from "../contained-page.ts";
import { expect, test } from "./test.ts";

// Chromium is the judge: whatever a designer's CSS says, nothing outside of the panel changes and nobody else is asked.
test("a designer’s CSS stays inside the panel: random style sheets change nothing around it, and fetch from nowhere else", async ({
  page,
}) => {
  const { sheets, seen, failures } = await contain(page, randomSheets(Array.from({ length: 250 }, (_, seed) => seed)));
  expect(failures.slice(0, 3)).toEqual([]);
  expect(sheets).toBeGreaterThan(100);
  // They do change the panel itself.
  expect(seen).toBeGreaterThan(15);
  // Uncontained CSS would be noticed.
  const loose = [
    "#out { color: red }",
    "@font-face { font-family: Outside; src: url(/o) }",
    "*{background:url(//x.example)}",
  ];
  expect((await contain(page, loose)).failures.length).toBeGreaterThanOrEqual(3);
});
