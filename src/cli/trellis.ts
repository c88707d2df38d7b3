import { runTrellis } from "./run.ts";

// The reader of the output may stop early, as `head` does; that is not an error.
process.stdout.on("error", (error: NodeJS.ErrnoException) => process.exit(error.code === "EPIPE" ? 0 : 2));

const { status, out, err } = await runTrellis(process.argv.slice(2));
process.stdout.write(out);
process.stderr.write(err);
process.exitCode = status;
