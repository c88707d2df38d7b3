import { describe, expect, it } from "vitest";
import { cleanSvg } from "./clean-svg.ts";

const wrap = (inner: string, extra = "") =>
  `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 8 8"${extra}>${inner}</svg>`;

describe("cleaning an SVG", () => {
  it("keeps what draws", () => {
    const leaf = wrap(
      '<defs><linearGradient id="g"><stop offset="0" stop-color="#fff"></stop></linearGradient></defs><path d="M0 0h8v8z" fill="url(#g)"></path><use href="#p"></use>',
    );
    expect(cleanSvg(leaf)).toBe(leaf);
    expect(
      cleanSvg('<?xml version="1.0"?><!-- a leaf --><svg viewBox="0 0 8 8"><rect width="8" height="8"/></svg>'),
    ).toMatch(/^<svg xmlns="http:\/\/www\.w3\.org\/2000\/svg" viewBox/);
  });

  // Source: the ways to run script that the OWASP cheat sheet on cross-site scripting lists for SVG, from memory.
  it.each([
    wrap("<script>alert(1)</script>"),
    wrap("<script href='https://x.example/a.js'/>"),
    wrap("", ' onload="alert(1)"'),
    wrap('<rect width="8" onclick="alert(1)"/>'),
    wrap('<a href="javascript:alert(1)"><rect width="8"/></a>'),
    wrap('<use href="https://x.example/a.svg#x"/>'),
    wrap('<use xlink:href="data:image/svg+xml;base64,PHN2Zz4="/>'),
    wrap('<image href="https://x.example/spy.png"/>'),
    wrap("<foreignObject><body onload='alert(1)'>x</body></foreignObject>"),
    wrap('<animate attributeName="href" values="javascript:alert(1)"/>'),
    wrap('<set attributeName="onmouseover" to="alert(1)"/>'),
    wrap("<style>@import url(https://x.example/a.css)</style>"),
    wrap('<rect fill="url(https://x.example/a#b)"/>'),
    wrap('<rect style="background:url(javascript:alert(1))"/>'),
    wrap("<g><![CDATA[<script>alert(1)</script>]]></g>"),
    wrap('<title><img src=x onerror="alert(1)"></title>'),
    // Source: CSS Syntax Module Level 3, escapes and comments in identifiers.
    wrap('<rect fill="u\\72l(https://x.example/a)"/>'),
    wrap('<rect fill="\\75 rl(https://x.example/a)"/>'),
    wrap('<rect fill="u&#92;72l(https://x.example/a)"/>'),
    wrap("<rect mask=\"image-set('https://x.example/a' 1x)\"/>"),
    wrap('<rect fill="src(https://x.example/a)"/>'),
    wrap('<rect fill="url(/**/https://x.example/a)"/>'),
    '<!DOCTYPE svg [<!ENTITY x "<script>alert(1)</script>">]><svg>&x;</svg>',
  ])("takes out what runs or calls: %s", (text) => {
    const clean = cleanSvg(text) ?? "";
    expect(clean).not.toMatch(
      /<script|<foreignObject|<image|<img|<animate|<set|<style|\son\w+=|javascript:|https:\/\/x|data:|style=|<!ENTITY/i,
    );
  });

  it("refuses what is no SVG", () => {
    for (const text of [
      "",
      "<html><body>x</body></html>",
      "<p><svg></svg></p>x",
      "GIF89a",
      "<script>alert(1)</script>",
    ])
      expect(cleanSvg(text) ?? "none").toBe("none");
  });

  it("refuses what draws itself again and again: uses of uses, patterns of patterns, and circles", () => {
    const layers = (inner: (n: number) => string) => wrap(Array.from({ length: 9 }, (_, n) => inner(n)).join(""));
    const uses = (id: string) => `<use href="#${id}"></use>`.repeat(10);
    expect(
      cleanSvg(layers((n) => `<g id="l${n}">${n === 0 ? "<path d='M0 0h1'></path>" : uses(`l${n - 1}`)}</g>`)),
    ).toBe(undefined);
    const filled = (n: number) => `<rect fill="url(#p${n - 1})"></rect>`.repeat(10);
    expect(cleanSvg(layers((n) => `<pattern id="p${n}">${filled(n)}</pattern>`))).toBe(undefined);
    expect(cleanSvg(wrap('<g id="a"><use href="#b"></use></g><g id="b"><use href="#a"></use></g>'))).toBe(undefined);
    expect(cleanSvg(wrap("<g>".repeat(5000) + "</g>".repeat(5000)))).toBe(undefined);
    // An element that is used a few times stays.
    expect(cleanSvg(wrap(`<path id="leaf" d="M0 0h1"></path>${uses("leaf")}`))).toContain('href="#leaf"');
  });
});
