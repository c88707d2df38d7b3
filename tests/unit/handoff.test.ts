import { mkdtempSync, readdirSync, readFileSync, rmSync, writeFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import CRC32 from "crc-32";
import { ident, parse, walk } from "css-tree";
import { findAll } from "domutils";
import fc from "fast-check";
import { Window } from "happy-dom";
import { parseDocument } from "htmlparser2";
import { afterAll, beforeAll, describe, expect, it } from "vitest";
import { runTrellis } from "../../src/cli/run.ts";
import { decodeCatalogue } from "../../src/core/catalogue/binary.ts";
import { readCatalogue } from "../../src/core/catalogue/read.ts";
import { crc32 } from "../../src/core/sanitize/crc32.ts";
import type { WholeShop } from "../../src/core/shop/archive/whole-shop.ts";
import { defaultSite, siteFault } from "../../src/core/shop/site.ts";
import { defaultCard, filledCard } from "../../src/server/handoff/card.ts";
import { isolateCss, withoutUnusedProperties } from "../../src/server/handoff/isolate-css.ts";
import { makeHandoff } from "../../src/server/handoff/make.ts";
import { integrityOf } from "../../src/server/handoff/names.ts";
import { handoffScripts } from "../../src/server/handoff/scripts.ts";
import type { TrellisEvents, TrellisListingElement, TrellisPanelElement } from "../../src/server/handoff/trellis.d.ts";
import { seedDemo } from "../../src/server/seed.ts";
import { openDatabase } from "../../src/server/store/database.ts";
import { listShops } from "../../src/server/store/shops.ts";
import { wholeShop } from "../../src/server/store/whole-shops.ts";
import { fillTemplate } from "../../src/storefront/handoff/card-template.ts";
import type { EventDetails } from "../../src/storefront/handoff/events.ts";
import type { TrellisListing } from "../../src/storefront/handoff/listing-element.ts";
import type { TrellisPanel } from "../../src/storefront/handoff/panel-element.tsx";
import { SiteList } from "../../src/storefront/handoff/site-list.ts";
import type { HandoffManifest } from "../../src/storefront/handoff/wire.ts";

const here = mkdtempSync(join(tmpdir(), "trellis-handoff-"));
const folder = join(here, "shop");
let whole: WholeShop;

beforeAll(async () => {
  const orm = await openDatabase(join(here, "shops.db"));
  await seedDemo(orm, ".");
  const em = orm.em.fork();
  const [shop] = await listShops(em);
  if (!shop) throw new Error("There is no demo shop.");
  whole = await wholeShop(em, shop);
  await orm.close(true);
  await runTrellis(["export", "--shop", "larkmoss-nursery", "--out", folder, "--data", join(here, "shops.db")]);
  // From sources the scripts are built once, which takes longer than any test.
  await handoffScripts();
}, 120_000);
afterAll(() => rmSync(here, { recursive: true, force: true }));

const textOf = (files: ReadonlyMap<string, Uint8Array>, path: string) => new TextDecoder().decode(files.get(path));
const trellis = (...args: string[]) => runTrellis(["handoff", ...args]);

describe("the files of a handoff", () => {
  it("are the same for the same shop, and none of them has a style or a script in its markup", async () => {
    const [one, two] = [await makeHandoff(whole), await makeHandoff(structuredClone(whole))];
    expect([...one.files.keys()]).toEqual([...two.files.keys()]);
    for (const [path, bytes] of one.files) expect(Buffer.compare(bytes, two.files.get(path) ?? Buffer.of())).toBe(0);
    const markup = [...one.files.keys()].filter((path) => path.startsWith("pages/"));
    expect(markup.length).toBeGreaterThan(100);
    for (const path of markup) {
      const html = textOf(one.files, path);
      expect(html).not.toMatch(/<[^>]+\sstyle=/);
      expect(html).not.toMatch(/<[^>]+\son\w+=/);
      expect([...html.matchAll(/<script([^>]*)>/g)].map(([, attributes]) => attributes?.trim())).toEqual([
        'type="application/json"',
      ]);
    }
  });

  it("have the style of every element of the markup as a rule", async () => {
    const { files } = await makeHandoff(whole);
    const css = textOf(files, [...files.keys()].find((path) => /^trellis\.\w+\.css$/.test(path)) ?? "");
    const wanted = new Set(
      [...files].flatMap(([path]) =>
        path.startsWith("pages/")
          ? [...textOf(files, path).matchAll(/data-s="([^"]+)"/g)].map(([, style]) => style ?? "")
          : [],
      ),
    );
    expect(wanted.size).toBeGreaterThan(10);
    const ruled = new Set<string>();
    walk(parse(css), {
      visit: "AttributeSelector",
      enter: ({ name, value }) => {
        if (name.name === "data-s" && value)
          ruled.add(value.type === "String" ? value.value : ident.decode(value.name));
      },
    });
    expect([...wanted].filter((style) => !ruled.has(style))).toEqual([]);
  });

  it("name the current files in one small file, with what a browser checks them by", async () => {
    const { files, report } = await makeHandoff(whole);
    const manifest: HandoffManifest = JSON.parse(textOf(files, "trellis.json"));
    for (const name of Object.values(manifest.files)) {
      expect(name).toMatch(/^\w+\.[0-9a-f]{12}\.\w+$/);
      expect(files.has(name)).toBe(true);
    }
    const head = textOf(files, "head.html");
    // Source: the SHA-384 of the empty text as in Subresource Integrity, 3.1, of the same tool.
    expect(integrityOf("")).toBe("sha384-OLBgp1GsljhM2TJ+sbHjaiH9txEUvgdDTAzHv2P24donTt6/529l+9Ua0vFImLlb");
    expect(head).toContain(`integrity="${integrityOf(files.get(manifest.files.script) ?? "")}"`);
    expect(report).toMatchObject({ panels: 3 });
    expect(report.sizes.script).toBeGreaterThan(10_000);
  });

  it("hold of the catalogue what is asked and what cards show, each field once", async () => {
    const { files } = await makeHandoff(whole);
    const manifest: HandoffManifest = JSON.parse(textOf(files, "trellis.json"));
    const [counted, shown] = [manifest.files.catalogue, manifest.files.cards].map((name) =>
      decodeCatalogue(files.get(name) ?? new Uint8Array())
        .fields.filter(({ role }) => role !== "availability" && role !== "on_sale")
        .map(({ key }) => key),
    );
    expect(counted).toContain("flower-colour");
    expect(shown).toContain("image");
    expect(counted?.filter((key) => shown?.includes(key))).toEqual([]);
    // A page's description is long, and neither counted nor shown.
    expect([...(counted ?? []), ...(shown ?? [])]).not.toContain("description");
  });

  it("carry hostile words of a catalogue as words", async () => {
    const hostile = readCatalogue(
      new TextEncoder().encode(
        'title,price,colour,image\n"</script><script>alert(1)</script>",5,"""><img src=x onerror=alert(1)>",javascript:alert(1)\nB,6,red,/b.png\n',
      ),
    );
    const { files } = await makeHandoff(
      { ...whole, catalogue: hostile.catalogue, swatches: { ...whole.swatches }, mends: { ...whole.mends, mends: [] } },
      { pages: ["/"] },
    );
    for (const [path, bytes] of files) {
      if (!path.endsWith(".html")) continue;
      const { children } = parseDocument(new TextDecoder().decode(bytes));
      const runs = findAll(
        ({ name, attribs }) =>
          Object.keys(attribs).some((attribute) => attribute.startsWith("on")) ||
          Object.values(attribs).some((value) => /^\s*javascript:/i.test(value)) ||
          attribs.src === "x" ||
          (name === "script" &&
            attribs.type !== "application/json" &&
            attribs.type !== "module" &&
            !/^\/trellis\/early\.\w+\.js$/.test(attribs.src ?? "")),
        children,
      );
      expect(runs).toEqual([]);
    }
  });
});

describe("trellis handoff", () => {
  const out = join(here, "out");
  it("writes them, keeps those of the last time, and removes older ones", async () => {
    expect(await trellis(folder, "--out", out, "--page", "/")).toMatchObject({ status: 0, err: "" });
    const named = () =>
      readdirSync(out)
        .filter((name) => /\.[0-9a-f]{12}\./.test(name))
        .sort();
    const first = named();
    const csv = join(folder, "catalogue.csv");
    const text = readFileSync(csv, "utf8");
    writeFileSync(csv, text.replace("/demo/pictures/LM001.svg", "/demo/pictures/LM002.svg"));
    await trellis(folder, "--out", out, "--page", "/");
    const second = named();
    // Another picture is another file of cards, and of the pieces that list it; nothing else is.
    expect(second.filter((name) => !first.includes(name))).toEqual([
      expect.stringMatching(/^cards\./),
      expect.stringMatching(/^pieces\./),
    ]);
    expect(first.filter((name) => !second.includes(name))).toEqual([]);
    writeFileSync(csv, text.replace("/demo/pictures/LM001.svg", "/demo/pictures/LM003.svg"));
    await trellis(folder, "--out", out, "--page", "/");
    expect(named().filter((name) => name.startsWith("cards."))).toHaveLength(2);
    writeFileSync(csv, text);
  });

  it.each([
    [["--page", "/colections/gifts"], /no page \/colections\/gifts\. Did you mean \/collections\/gifts\?/],
    [["--at", "trellis"], /The files can’t be at “trellis”/],
    [["--at", "javascript:alert(1)/"], /The files can’t be at/],
    [["--action", "javascript:alert(1)"], /Choices can’t go to/],
    [["--link", "data:text/html,x"], /Products can’t be at/],
    [["--name", "light"], /--name must be KEY=NAME/],
    [["--name", "light=flower-colour"], /both have the name “flower-colour”/],
    [["--name", "light=a b"], /Use letters, digits/],
    [["--language", "xx"], /not in the language “xx”/],
    [["--card", "no-such-file"], /no-such-file can’t be read/],
    [["--card", "package.json"], /The card template must be one element/],
  ])("says what is wrong with %j", async (options, words) => {
    const { status, err, out: text } = await trellis(folder, "--out", join(here, "wrong"), ...options);
    expect({ status, text }).toEqual({ status: 2, text: "" });
    expect(err).toMatch(words);
  });

  it("wants to know where to write", async () => {
    expect(await trellis(folder)).toMatchObject({ status: 2, err: expect.stringContaining("--out") });
  });

  it("calls things in queries as the site wants", async () => {
    await trellis(folder, "--out", out, "--page", "/", "--name", "light=sun", "--name", "q=words", "--action", "/find");
    const form = readFileSync(join(out, "pages/index/climber-finder.form.html"), "utf8");
    expect(form).toContain('name="sun"');
    expect(form).not.toContain('name="light"');
    expect(form).toContain('action="/find"');
    expect(readFileSync(join(out, "README.md"), "utf8")).toMatch(/\| `sun` \| Light: any of these values/);
  });
});

describe("names of queries", () => {
  it("are never two things at once", () => {
    expect(siteFault({ ...defaultSite, names: { a: "page" } }, ["a"])).toMatch(/both have the name “page”/);
    expect(siteFault({ ...defaultSite, names: { a: "b.min" } }, ["a", "b"])).toMatch(/both have the name “b.min”/);
    expect(siteFault({ ...defaultSite, names: { a: "b", b: "a" } }, ["a", "b"])).toBeUndefined();
  });
});

describe("a card template", () => {
  const values = { title: "<b>Bold</b> & “quoted”", link: "/p/1", picture: "/a.png", price: "€5", was: "", stock: "" };

  it("is filled alike on the server and in the page", () => {
    const window = new Window();
    Object.assign(globalThis, { document: window.document });
    const template = window.document.createElement("template");
    template.innerHTML = defaultCard;
    const inPage = fillTemplate(template as unknown as HTMLTemplateElement, "x1", values)?.outerHTML ?? "";
    const parsed = window.document.createElement("template");
    parsed.innerHTML = filledCard(defaultCard, "x1", values);
    const tidy = (html: string) => html.replace(/\s+/g, " ");
    expect(tidy(parsed.innerHTML)).toBe(tidy(inPage));
    expect(inPage).toContain("&lt;b&gt;Bold&lt;/b&gt;");
    expect(inPage).not.toMatch(/<s>|<em>|data-slot/);
  });

  it("takes no address that could run", () => {
    const card = filledCard(defaultCard, "x1", {
      ...values,
      link: "javascript:alert(1)",
      picture: "javascript:alert(1)",
    });
    expect(card).not.toContain("javascript");
  });
});

describe("a list of the site's own", () => {
  const listOf = (ids: readonly string[]) => {
    const window = new Window();
    Object.assign(globalThis, {
      document: window.document,
      MutationObserver: window.MutationObserver,
      HTMLElement: window.HTMLElement,
    });
    const list = window.document.createElement("ul");
    list.innerHTML = ids.map((id) => `<li><b data-trellis-product="${id}"></b></li>`).join("");
    return list as unknown as Element;
  };
  const seen = (list: Element) =>
    [...list.children]
      .filter((item) => !item.hasAttribute("hidden"))
      .map((item) => item.querySelector("b")?.getAttribute("data-trellis-product"));

  it("shows what is found in its own order or the shopper's, keeps strangers, and comes back whole", () => {
    const ids = fc.uniqueArray(fc.constantFrom(..."abcdefgh"), { minLength: 1 });
    fc.assert(
      fc.property(ids, ids, ids, fc.boolean(), (own, known, found, sorted) => {
        const list = listOf(own);
        const arranged = new SiteList(list, () => {});
        const result = arranged.arrange({
          found: found.filter((id) => known.includes(id)),
          sorted,
          part: undefined,
          isKnown: (id) => known.includes(id),
        });
        const fits = own.filter((id) => known.includes(id) && found.includes(id));
        const strangers = own.filter((id) => !known.includes(id));
        const inOrder = sorted
          ? [...found.filter((id) => fits.includes(id)), ...strangers]
          : own.filter((id) => fits.includes(id) || strangers.includes(id));
        expect(seen(list)).toEqual(inOrder);
        // Sorted products stand before hidden ones, so that the first of the list is the first that is seen.
        if (sorted) {
          const front = [...list.children].slice(0, inOrder.length);
          expect(front.every((item) => !item.hasAttribute("hidden"))).toBe(true);
        }
        expect(result.unknown.toSorted()).toEqual(strangers.toSorted());
        expect(result.missing).toBe(found.filter((id) => known.includes(id) && !own.includes(id)).length);
        arranged.leave();
        expect(seen(list)).toEqual(own);
      }),
      { numRuns: 200 },
    );
  });
});

describe("a style sheet that holds its own", () => {
  const strong = isolateCss(
    "@layer base, look;\n@layer base { :root, :host { --zt-a: 1px; } .b, p > .c { margin: var(--zt-a); } @keyframes k { from { top: 0 } } }\n@layer look { :root { --zt-a: 2px } @media (min-width: 1px) { .b { color: red } } }",
    ".zt-root { all: initial }",
  );

  it("has every declaration important, every rule inside, and the weakest layer first among equals", () => {
    const rules: string[] = [];
    walk(parse(strong), {
      visit: "Declaration",
      enter({ important, property }) {
        rules.push(`${property} ${important}`);
      },
    });
    expect(rules.toSorted()).toEqual([
      "--zt-a true",
      "--zt-a true",
      "all true",
      "color true",
      "margin true",
      "top false",
    ]);
    expect(strong).toMatch(
      /^@layer trellis\.custom, trellis\.look, trellis\.displays, trellis\.parts, trellis\.base, trellis\.reset;/,
    );
    expect(strong).toContain(":where(.zt-root) p>.c");
    expect(strong).not.toContain(":root");
  });

  it("loses the custom properties that nothing reads", () => {
    expect(withoutUnusedProperties("a{--zt-x:1;--zt-y:var(--zt-z);--zt-z:2;--own:3;color:var(--zt-y)}")).toBe(
      "a{--zt-y:var(--zt-z);--zt-z:2;--own:3;color:var(--zt-y)}",
    );
  });
});

describe("a checksum", () => {
  it("is that of the usual package", () => {
    fc.assert(fc.property(fc.uint8Array(), (bytes) => crc32(bytes) === CRC32.buf(bytes)));
    // Source: the check value of CRC-32/ISO-HDLC in the catalogue of parametrised CRC algorithms.
    expect(crc32(new TextEncoder().encode("123456789")) >>> 0).toBe(0xcbf43926);
  });
});

describe("the types that a site gets", () => {
  it("are those of the elements and of what they tell", () => {
    // Held by the compiler: each way round, for every event and both elements.
    type Both<A, B> = [A] extends [B] ? ([B] extends [A] ? true : never) : never;
    const events: { [N in keyof EventDetails]: Both<TrellisEvents[`trellis-${N}`]["detail"], EventDetails[N]> } = {
      change: true,
      results: true,
      ready: true,
      trouble: true,
    };
    const panel: [TrellisPanel] extends [
      Pick<TrellisPanelElement, "selection" | "results" | "found" | "choose" | "clear" | "openDrawer" | "closeDrawer">,
    ]
      ? true
      : never = true;
    const listing: [TrellisListing] extends [Pick<TrellisListingElement, "turn" | "sort">] ? true : never = true;
    expect([Object.keys(events).length, panel, listing]).toEqual([4, true, true]);
  });
});
