import { zipSync } from "fflate";
import { describe, expect, it } from "vitest";
import { unzip, ZipFault } from "./unzip.ts";

const bytes = (text: string) => new TextEncoder().encode(text);
const most = { maxFiles: 10, maxBytes: 200_000_000 };
const all = () => true;
const zip = zipSync({ "a.txt": bytes("alpha ".repeat(500)), "b.txt": bytes("beta") });
const faultOf = (zipped: Uint8Array, wanted = all, limits = most): string => {
  try {
    unzip(zipped, wanted, limits);
    return "none";
  } catch (error) {
    expect(error).toBeInstanceOf(ZipFault);
    return (error as ZipFault).kind;
  }
};
/** Where the central directory says the unpacked size of its first file. */
const sizeAt = (zipped: Uint8Array) => {
  const view = new DataView(zipped.buffer, zipped.byteOffset);
  return view.getUint32(zipped.length - 22 + 16, true) + 24;
};

describe("a zip", () => {
  it("gives the wanted files, whole", () => {
    expect([...unzip(zip, all, most).keys()]).toEqual(["a.txt", "b.txt"]);
    expect(new TextDecoder().decode(unzip(zip, (name) => name === "b.txt", most).get("b.txt"))).toBe("beta");
    // With a comment at its end, as some programs write.
    const commented = new Uint8Array(zip.length + 5);
    commented.set(zip);
    commented[zip.length - 2] = 5;
    expect(unzip(commented, all, most).size).toBe(2);
  });

  it("is damaged where any one bit of a file’s bytes is flipped", () => {
    const stored = zipSync({ "a.txt": bytes("alpha, beta, gamma") }, { level: 0 });
    // Its bytes stand behind a header of 30 bytes and its name.
    for (let at = 35; at < 35 + 18; at++)
      for (let bit = 0; bit < 8; bit++) {
        const flipped = Uint8Array.from(stored);
        flipped[at] = (flipped[at] ?? 0) ^ (1 << bit);
        expect(faultOf(flipped)).toBe("damaged");
      }
  });

  it("is damaged where it says another length than a file has", () => {
    for (const size of [1500, 2999, 3001]) {
      const wrong = Uint8Array.from(zip);
      new DataView(wrong.buffer).setUint32(sizeAt(wrong), size, true);
      expect(faultOf(wrong)).toBe("damaged");
    }
  });

  it("is none where its directory is cut off, or its name leads out", () => {
    expect(faultOf(zip.subarray(0, zip.length - 30))).toBe("not a zip");
    expect(faultOf(bytes("no zip"))).toBe("not a zip");
    for (const name of ["../a", "/a", "c:\\a", "a/../../b", "a\\b"])
      expect(faultOf(zipSync({ [name]: bytes("x") }), () => false)).toBe("bad name");
  });

  it("is called a bomb where it is one, and too large where it has too much", () => {
    const bomb = zipSync({ "a.txt": new Uint8Array(100_000_000) }, { level: 9 });
    expect(bomb.length).toBeLessThan(500_000);
    expect(faultOf(bomb)).toBe("bomb");
    expect(faultOf(zip, all, { maxFiles: 1, maxBytes: 1e9 })).toBe("too large");
    expect(faultOf(zip, all, { maxFiles: 9, maxBytes: 1000 })).toBe("too large");
  });
});
