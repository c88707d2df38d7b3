import { parseArgs } from "node:util";
import { shopDifferences } from "../core/report/shop-differences.ts";
import type { Command } from "./command.ts";
import { openFolder } from "./folder.ts";
import { UsageError } from "./usage-error.ts";

/** Lists what changed between two folders, in words. */
export const diff: Command = {
  name: "diff",
  about: "Lists in plain words what changed between two shop folders.",
  usage: "trellis diff FOLDER FOLDER",
  options: [],
  example: "trellis diff ./larkmoss-before ./larkmoss",
  run(args) {
    const { positionals } = parseArgs({ args, allowPositionals: true, options: {} });
    const [before, after, ...others] = positionals;
    if (before === undefined || after === undefined || others.length > 0)
      throw new UsageError(`Name two shop folders. Usage: ${diff.usage}`);
    const found = shopDifferences(openFolder(before), openFolder(after));
    return {
      text: found.map(({ where, words }) => `${where}: ${words}.`).join("\n"),
      status: found.length > 0 ? 1 : 0,
    };
  },
};
