import { describe, expect, it } from "vitest";
import { cleanHtml } from "../../core/sanitize/clean-html.ts";
import { blocksOf } from "./blocks.ts";

describe("blocks of a text", () => {
  it("are its paragraphs, headings and lists, whole", () => {
    const html = cleanHtml(
      "<p>One <strong>bold <em>word</em></strong><br>next</p><h2>Two</h2><ul><li>a</li><li>b <a href='/x'>c</a></li></ul>",
    );
    expect(blocksOf(html)).toEqual([
      "<p>One <strong>bold <em>word</em></strong><br />next</p>",
      "<h2>Two</h2>",
      '<ul><li>a</li><li>b <a href="/x">c</a></li></ul>',
    ]);
    expect(blocksOf(html).join("")).toBe(html);
  });

  it("lose nothing of what stands outside of any", () => {
    for (const html of ["", "plain", "<p>a</p> b", "a <em>b</em> c", "<p>a</p>"])
      expect(blocksOf(html).join("")).toBe(html);
    expect(blocksOf("")).toEqual([]);
    expect(blocksOf("<p>a</p>\n")).toEqual(["<p>a</p>"]);
  });
});
