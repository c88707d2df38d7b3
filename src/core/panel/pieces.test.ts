import fc from "fast-check";
import { describe, expect, it } from "vitest";
import { demoPanel } from "../../../demo/panel.ts";
import { checkDocument } from "../document/kind.ts";
import { cleanHtml } from "../sanitize/clean-html.ts";
import { isSafeAddress, isSafePicture } from "../sanitize/safe-address.ts";
import { panelKind } from "./kind.ts";
import { hasLink } from "./links.ts";
import { newPiece, pieceNames } from "./pieces.ts";

describe("pieces", () => {
  it("are valid as they come", () => {
    const rows = pieceNames.map((piece) => newPiece(piece, piece));
    expect(checkDocument(panelKind, { ...demoPanel, rows }).rows).toEqual(rows);
  });

  it("link all values, some, all but some, or the branches of a category, and take in what comes later by a rule", () => {
    const ids = ["plants", "plants > ivy", "plants > ivy > small", "pots"];
    const linked = (values: Parameters<typeof hasLink>[0]["values"]) => ids.filter((id) => hasLink({ values }, id));
    expect(linked("all")).toEqual(ids);
    expect(linked(["pots"])).toEqual(["pots"]);
    expect(linked({ except: ["pots"] })).toEqual(ids.slice(0, 3));
    expect(linked({ below: "" })).toEqual(["plants", "pots"]);
    expect(linked({ below: "plants" })).toEqual(["plants > ivy"]);
    for (const values of ["all" as const, ["pots"], { except: ["pots"] }, { below: "plants" }]) {
      const piece = newPiece("links", "links", { field: "category", mode: "tree", values });
      expect(checkDocument(panelKind, { ...demoPanel, rows: [piece] }).rows).toEqual([piece]);
    }
    const odd = { ...newPiece("links", "links"), values: { above: "x" } };
    expect(() => checkDocument(panelKind, { ...demoPanel, rows: [odd] })).toThrow(/values/);
  });

  it("lead to safe addresses only", () => {
    for (const address of [
      "https://a.example/b",
      "HTTP://a.example",
      "mailto:a@b.example",
      "tel:+3112",
      "/shop",
      "?light=shade",
      "#top",
    ])
      expect([address, isSafeAddress(address)]).toEqual([address, true]);
    for (const address of [
      "javascript:x",
      " javascript:x",
      "java\tscript:x",
      "data:text/html,x",
      "//evil.example",
      "/\\evil.example",
      "vbscript:x",
      "x",
      "",
    ])
      expect([address, isSafeAddress(address)]).toEqual([address, false]);
    expect(["/a.png", "https://a.example/a.png"].map(isSafePicture)).toEqual([true, true]);
    expect(["data:image/svg+xml,x", "javascript:x", "//x.example/a.png", "mailto:x"].some(isSafePicture)).toBe(false);
  });

  // Source: the cases of OWASP's filter evasion cheat sheet that concern tags, attributes and addresses, from memory.
  it("hold text in which nothing can run, and cleaning again changes nothing", () => {
    const evil = [
      '<img src=x onerror="x()">',
      "<svg onload=x()>",
      "<script>x()</script>",
      '<a href="javascript:x()">a</a>',
      '<a href="&#106;avascript:x()">a</a>',
      '<a href="//evil.example">a</a>',
      '<p style="background:url(javascript:x())">a</p>',
      '<iframe srcdoc="<script>x()</script>"></iframe>',
      "<p><<script>x()</script>",
      '<math><a xlink:href="javascript:x()">a</a></math>',
    ];
    for (const html of evil)
      expect(cleanHtml(html)).not.toMatch(/script:|onerror|onload|<(?:script|svg|img|iframe|math)|style=|evil/i);
    expect(cleanHtml('<p>Fine <strong>and</strong> <a href="/shop">well</a></p>')).toBe(
      '<p>Fine <strong>and</strong> <a href="/shop">well</a></p>',
    );
    fc.assert(
      fc.property(
        fc.string(),
        fc.constantFrom(...evil),
        (text, html) => cleanHtml(cleanHtml(text + html)) === cleanHtml(text + html),
      ),
    );
  });
});
