/** `npm run attack`: every attack at length, on this machine only, and one table; `-- --share 0.1` for a tenth of the tries, `-- --only NAME` for some. */
import type { Attack } from "./attack.ts";
import { expressions } from "./expressions.ts";
import { extraCss } from "./extra-css.ts";
import { foreign } from "./foreign.ts";
import { foreignPage } from "./foreign-page.ts";
import { fullDisk } from "./full-disk.ts";
import { inputs } from "./inputs.ts";
import { importKills, savingKills } from "./kills.ts";
import { locks, waitingSaves } from "./locks.ts";
import { tabs } from "./scenes.ts";
import { scripts } from "./scripts.ts";
import { smallInputsAttack } from "./small-inputs.ts";
import { userFiles } from "./user-files.ts";

const all: readonly Attack[] = [
  inputs,
  smallInputsAttack,
  userFiles,
  foreignPage,
  expressions,
  extraCss,
  foreign,
  scripts,
  locks,
  waitingSaves,
  tabs,
  fullDisk,
  savingKills,
  importKills,
];
const only = process.argv.includes("--only") ? process.argv[process.argv.indexOf("--only") + 1] : undefined;
const attacks = only === undefined ? all : all.filter(({ name }) => name.includes(only));
const given = process.argv[process.argv.indexOf("--share") + 1];
const share = process.argv.includes("--share") ? Math.min(1, Math.max(0.001, Number(given) || 1)) : 1;

console.log("| attack | tries | failures | measured |\n|---|---|---|---|");
let failed = 0;
for (const { name, run } of attacks) {
  const { tries, failures, measured } = await run(share);
  console.log(`| ${name} | ${tries.toLocaleString("en")} | ${failures.length} | ${measured} |`);
  for (const words of failures.slice(0, 10)) console.error(`  ${words}`);
  failed += failures.length;
}
process.exit(failed > 0 ? 1 : 0);
