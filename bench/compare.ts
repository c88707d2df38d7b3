import { spawnSync } from "node:child_process";
import { resolve } from "node:path";
import type { Timing } from "./timing.ts";

const rounds = 3;
const program = `
const { benchInterface } = await import(process.argv[1]);
console.log(JSON.stringify(await benchInterface()));`;

/**
 * The interface's times here beside those of an older commit in another work tree, which must be built: the two take
 * turns, so that whatever else the machine does falls on both. Printed are the medians of the rounds and their ratio.
 */
export function compareWith(folder: string): void {
  const measure = (root: string): Timing[] => {
    const args = ["--import", "tsx", "--input-type=module", "-e", program, resolve(root, "bench/interface.ts")];
    const { status, stdout, stderr } = spawnSync(process.execPath, args, { cwd: root, encoding: "utf8" });
    if (status !== 0) throw new Error(`The bench of ${root} broke down: ${stderr}`);
    return JSON.parse(stdout);
  };
  const before: Timing[][] = [];
  const now: Timing[][] = [];
  for (let round = 0; round < rounds; round++) {
    before.push(measure(resolve(folder)));
    now.push(measure(process.cwd()));
  }
  const middle = (all: Timing[][], name: string) => {
    const times = all.flatMap((list) => list.filter((one) => one.name === name)).map(({ median_ms }) => median_ms);
    return times.sort((a, b) => a - b)[times.length >> 1] ?? Number.NaN;
  };
  for (const { name, aim_ms } of now[0] ?? []) {
    const [old, own] = [middle(before, name), middle(now, name)];
    console.log(`${name}: before ${old} ms, now ${own} ms, ${(own / old).toFixed(2)} of it; aimed at ${aim_ms} ms`);
  }
}
