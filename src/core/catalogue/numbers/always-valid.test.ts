import { describe, expect, it } from "vitest";
import { Random } from "../../../../demo/random.ts";
import { type Sample, validDifference } from "./always-valid.ts";
import { wilsonInterval } from "./wilson.ts";

/** Whether a difference is ever claimed, looking after every hundred visits of two editions. */
function everDiffers(random: Random, shares: readonly [number, number], visits: number): boolean {
  const samples: [Sample, Sample] = [
    { hits: 0, of: 0 },
    { hits: 0, of: 0 },
  ];
  for (let n = 1; n <= visits; n++) {
    const at = random.chance(0.5) ? 1 : 0;
    samples[at].of++;
    if (random.chance(shares[at])) samples[at].hits++;
    if (n % 100 === 0 && validDifference(...samples)?.differs) return true;
  }
  return false;
}

const runs = (shares: readonly [number, number], visits: number): number =>
  Array.from({ length: 100 }, (_, seed) => everDiffers(new Random(seed + 1), shares, visits)).filter(Boolean).length;

describe("an interval that may be looked at as often as one likes", () => {
  it("finds a planted difference in at least 90 of 100 runs", () => {
    expect(runs([0.2, 0.28], 6000)).toBeGreaterThanOrEqual(90);
  });

  it.each([0.05, 0.3, 0.5])("finds a planted nothing in at most 5 of 100 runs, with a share of %d", (share) => {
    expect(runs([share, share], 10_000)).toBeLessThanOrEqual(5);
  });

  it("is wider than one that may be looked at once", () => {
    const [first, second] = [
      { hits: 200, of: 1000 },
      { hits: 230, of: 1000 },
    ];
    const found = validDifference(first, second);
    const [low, high] = wilsonInterval(first.hits, first.of);
    expect(found && found.high - found.low).toBeGreaterThan(high - low);
    expect(found).toMatchObject({ differs: false });
    expect(found?.difference).toBeCloseTo(0.03, 10);
    // With as many as it says it needs, the same shares differ; with a few less they don't.
    const needed = found?.needed ?? 0;
    const scaled = ({ hits, of }: Sample, n: number): Sample => ({ hits: (hits * n) / 2000, of: (of * n) / 2000 });
    expect(validDifference(scaled(first, needed * 1.05), scaled(second, needed * 1.05))?.differs).toBe(true);
    expect(validDifference(scaled(first, needed * 0.9), scaled(second, needed * 0.9))?.differs).toBe(false);
  });

  it("says nothing of few, and that no number is enough where shares are the same", () => {
    expect(validDifference({ hits: 9, of: 99 }, { hits: 50, of: 1000 })).toBeUndefined();
    expect(validDifference({ hits: 50, of: 1000 }, { hits: 50, of: 1000 })?.needed).toBeUndefined();
    expect(validDifference({ hits: 0, of: 100 }, { hits: 0, of: 100 })?.differs).toBe(false);
  });
});
