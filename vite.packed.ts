import { existsSync, readFileSync, writeFileSync } from "node:fs";
import { join } from "node:path";
import { brotliCompressSync, constants, gzipSync } from "node:zlib";
import type { Plugin } from "vite";

/** From so many bytes on a file is packed with less effort: the last hundredths would take ten seconds of a build. */
const large = 150_000;
const usual = 9;

/** Lays beside each file that shrinks what it is when packed, so that no request waits for it to be packed. */
export const packed: Plugin = {
  name: "packed",
  apply: "build",
  // After everything is written, whatever other plugins have changed last.
  enforce: "post",
  writeBundle: {
    order: "post",
    handler({ dir = "" }, bundle) {
      for (const name of Object.keys(bundle)) {
        const path = join(dir, name);
        if (!/\.(js|css|html|svg|json)$/.test(name) || !existsSync(path)) continue;
        const bytes = readFileSync(path);
        const { BROTLI_PARAM_QUALITY, BROTLI_MAX_QUALITY } = constants;
        const quality = bytes.length > large ? usual : BROTLI_MAX_QUALITY;
        writeFileSync(`${path}.br`, brotliCompressSync(bytes, { params: { [BROTLI_PARAM_QUALITY]: quality } }));
        writeFileSync(`${path}.gz`, gzipSync(bytes, { level: 9 }));
      }
    },
  },
};
