import { describe, expect, it } from "vitest";
import { isRelativePlace, isSafeAddress, isSafePicture } from "./safe-address.ts";

describe("addresses", () => {
  it("lead to the web, to mail and telephone, and to places of the shop", () => {
    for (const address of [
      "https://x.example/a?b#c",
      "HTTP://x.example",
      "mailto:a@x.example",
      "tel:+1",
      "/a/b",
      "?a=b",
      "#c",
    ])
      expect([address, isSafeAddress(address)]).toEqual([address, true]);
    for (const address of ["/a.png", "./a.png", "../a.png", "https://x.example/a.png"])
      expect([address, isSafePicture(address)]).toEqual([address, true]);
  });

  // Source: WHATWG URL standard: tabs and line ends are removed, and a backslash is a slash.
  it.each([
    "javascript:alert(1)",
    "java\tscript:alert(1)",
    " javascript:alert(1)",
    "data:text/html,x",
    "//x.example/a",
    "/\\x.example/a",
    "\\\\x.example",
    "/\t/x.example/a",
    "/\n/x.example",
    "https://shop.example\\@x.example/a",
    "https:\\\\x.example",
    "https://shop.example\t.x.example",
    "./\\x.example",
    "vbscript:x",
    "\u0000javascript:x",
  ])("that are another than they look are refused: %j", (address) => {
    expect([isSafeAddress(address), isSafePicture(address), isRelativePlace(address)]).toEqual([false, false, false]);
  });
});
