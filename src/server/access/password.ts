import { randomBytes, type ScryptOptions, scrypt, timingSafeEqual } from "node:crypto";
import { existsSync, readFileSync } from "node:fs";
import { type InferType, string } from "yup";
import { exact, wholeIn } from "../../core/document/schema.ts";
import { replaceFile } from "../disk/files.ts";

/** Cost of a guess. Source: OWASP Password Storage Cheat Sheet, scrypt with N 2^16, r 8, p 2; from memory. */
const cost = { N: 2 ** 16, r: 8, p: 2 };
const length = 32;

/** The stored form of a password. */
const stored = exact({
  salt: string()
    .strict()
    .matches(/^[0-9a-f]{32}$/)
    .required(),
  hash: string()
    .strict()
    .matches(/^[0-9a-f]{64}$/)
    .required(),
  N: wholeIn(2 ** 14, 2 ** 20).required(),
  r: wholeIn(1, 32).required(),
  p: wholeIn(1, 16).required(),
});
type Stored = InferType<typeof stored>;

/** Minimum length of a password, in characters. Source: NIST SP 800-63B, section 5.1.1.1. */
export const shortest = 8;
const longest = 1000;

/** Why a password is rejected; undefined if it isn't. */
export function passwordFault(password: string): string | undefined {
  if (password.length < shortest) return `Choose a password with at least ${shortest} characters.`;
  return password.length > longest ? `Choose a password with at most ${longest} characters.` : undefined;
}

const derive = (password: string, salt: Buffer, options: ScryptOptions): Promise<Buffer> =>
  new Promise((done, failed) =>
    scrypt(password.normalize("NFC"), salt, length, { ...options, maxmem: 256 * 1024 * 1024 }, (error, key) =>
      error ? failed(error) : done(key),
    ),
  );

/** The server's one password, stored as a salted hash in a file that only its account may read. */
export class Password {
  readonly file: string;

  constructor(file: string) {
    this.file = file;
  }

  get isSet(): boolean {
    return existsSync(this.file);
  }

  /** @throws RangeError if it is too short or too long */
  async set(password: string): Promise<void> {
    const fault = passwordFault(password);
    if (fault) throw new RangeError(fault);
    const salt = randomBytes(16);
    const hash = await derive(password, salt, cost);
    const kept: Stored = { salt: salt.toString("hex"), hash: hash.toString("hex"), ...cost };
    replaceFile(this.file, JSON.stringify(kept), { mode: 0o600 });
  }

  /** Whether a text is the password. @throws Error if the file is damaged */
  async is(password: string): Promise<boolean> {
    if (!this.isSet || password.length > longest) return false;
    const { salt, hash, ...own } = stored.validateSync(JSON.parse(readFileSync(this.file, "utf8")));
    return timingSafeEqual(await derive(password, Buffer.from(salt, "hex"), own), Buffer.from(hash, "hex"));
  }
}
