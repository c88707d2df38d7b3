import { runTrellis } from "./run.ts";

const { status, out, err } = await runTrellis(process.argv.slice(2));
process.stdout.write(out);
process.stderr.write(err);
process.exitCode = status;
