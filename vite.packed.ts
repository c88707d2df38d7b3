import { existsSync } from "node:fs";
import { readFile, writeFile } from "node:fs/promises";
import { join } from "node:path";
import { promisify } from "node:util";
import { brotliCompress, constants, gzip } from "node:zlib";
import type { Plugin } from "vite";

/** How hard files are packed, as quality of Brotli and level of gzip. */
const efforts = {
  /** For shoppers. */
  best: { brotli: constants.BROTLI_MAX_QUALITY, gzip: constants.Z_BEST_COMPRESSION },
  /** For designers, whose first start waits for it: 3 % more bytes in a fifth of the time. */
  quick: { brotli: 5, gzip: constants.Z_DEFAULT_COMPRESSION },
};

/** Lays beside each file that shrinks what it is when packed, so that no request waits for it to be packed. */
export const packed = (effort: keyof typeof efforts): Plugin => ({
  name: "packed",
  apply: "build",
  // After everything is written, whatever other plugins have changed last.
  enforce: "post",
  writeBundle: {
    order: "post",
    async handler({ dir = "" }, bundle) {
      const files = Object.keys(bundle)
        .filter((name) => /\.(js|css|html|svg|json)$/.test(name))
        .map((name) => join(dir, name));
      const { brotli, gzip: level } = efforts[effort];
      const params = { [constants.BROTLI_PARAM_QUALITY]: brotli };
      await Promise.all(
        files.filter(existsSync).map(async (path) => {
          const bytes = await readFile(path);
          await writeFile(`${path}.br`, await promisify(brotliCompress)(bytes, { params }));
          await writeFile(`${path}.gz`, await promisify(gzip)(bytes, { level }));
        }),
      );
    },
  },
});
