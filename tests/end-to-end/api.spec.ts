import { demoShop, origin } from "./bench.ts";
import { type APIRequestContext, expect, test } from "./test.ts";

const panels = `/api/shops/${demoShop}/documents/panel`;

async function newPanel(request: APIRequestContext) {
  const { slug } = await (await request.post(panels, { data: { name: "For the interface" }, headers: origin })).json();
  const { version, document } = await (await request.get(`${panels}/${slug}`)).json();
  return { path: `${panels}/${slug}`, version, document };
}

test("a panel that is not valid is refused with the path of the fault, and the stored one is untouched", async ({
  request,
}) => {
  const { path, version, document } = await newPanel(request);
  const facet = {
    kind: "facet",
    id: "a",
    field: "light",
    label: "",
    display: { wide: "check-boxes" },
    mode: "any",
    settings: {},
  };
  const text = { kind: "piece", id: "t", piece: "text", label: "", html: "<p>Fine</p>" };
  const picture = { kind: "piece", id: "p", piece: "picture", label: "", src: "/a.png", href: "" };
  for (const [change, fault] of [
    [{ ...document, name: "" }, "name"],
    [{ ...document, format: 99 }, "format"],
    [{ ...document, placement: { wide: "ceiling" } }, "placement.wide"],
    [
      { ...document, rows: [facet, { ...facet, id: "b", field: "brand", display: { wide: "banana" } }] },
      "rows[1].display.wide",
    ],
    [{ ...document, rows: [facet, { ...facet, field: "brand" }] }, "rows[1].id"],
    [{ ...document, rows: [facet, { ...facet, id: "b", mode: "all" }] }, "rows[1].mode"],
    [{ ...document, rows: [{ ...facet, settings: { order: "moon" } }] }, "rows[0].settings.order"],
    [{ ...document, rows: [{ ...facet, settings: { foldAfter: { wide: -1 } } }] }, "rows[0].settings.foldAfter.wide"],
    [{ ...document, rows: [{ ...text, html: "<p onclick='x()'>No</p>" }] }, "rows[0].html"],
    [{ ...document, rows: [{ ...text, html: "<script>x()</script>" }] }, "rows[0].html"],
    [{ ...document, rows: [{ ...text, html: '<a href="javascript:x()">No</a>' }] }, "rows[0].html"],
    [{ ...document, rows: [{ ...picture, src: "javascript:x()" }] }, "rows[0].src"],
    [{ ...document, rows: [{ ...picture, href: "data:text/html,x" }] }, "rows[0].href"],
    [{ ...document, rows: [{ ...facet, mode: "range" }] }, "rows[0].display.wide"],
    [{ ...document, rows: [{ ...facet, onclick: "x" }] }, "rows[0]"],
    [{ ...document, rows: [null] }, "rows[0]"],
    [{ ...document, rows: "none" }, "rows"],
    ["text", ""],
  ] as const) {
    const answer = await request.put(path, { data: { version, document: change }, headers: origin });
    expect([fault, answer.status()]).toEqual([fault, 422]);
    expect((await answer.json()).path).toBe(fault);
  }
  expect(await (await request.get(path)).json()).toMatchObject({ version, document });
});

test("an old version is refused with the present one beside it", async ({ request }) => {
  const { path, version, document } = await newPanel(request);
  const first = await request.put(path, {
    data: { version, document: { ...document, name: "First" } },
    headers: origin,
  });
  expect(await first.json()).toEqual({ version: version + 1 });
  const second = await request.put(path, {
    data: { version, document: { ...document, name: "Second" } },
    headers: origin,
  });
  expect(second.status()).toBe(409);
  expect(await second.json()).toMatchObject({ version: version + 1, document: { name: "First" } });
});

test("requests that make no sense are answered in words", async ({ request }) => {
  const { path } = await newPanel(request);
  const put = (data: string, type = "application/json") =>
    request.put(path, { data: Buffer.from(data), headers: { ...origin, "content-type": type } });
  for (const [answer, status, words] of [
    [await put("{"), 400, /not valid JSON/],
    [await put("{}"), 400, /version is a required field|document is a required field/],
    [await put("a=1", "text/plain"), 415, /Send JSON/],
    [await request.get("/api/shops/none"), 404, /no shop at “none”/],
    [await request.get(`${panels}/none`), 404, /no panel at “none”/],
    [await request.get("/api/none"), 404, /nothing at/],
    [await request.post("/api/shops", { multipart: { name: "x" }, headers: origin }), 400, /No file/],
    [
      await request.put(path, { data: { version: 1, document: "x".repeat(9 * 1024 * 1024) }, headers: origin }),
      413,
      /larger than 8 MB/,
    ],
  ] as const) {
    expect([words, answer.status()]).toEqual([words, status]);
    expect((await answer.json()).error).toMatch(words);
  }
});

test("the server counts price ranges and stars for pages that ask it", async ({ request }) => {
  const asked = {
    within: [[{ field: "category", options: ["plants"] }]],
    facets: [
      { field: "price", mode: "range", ranges: { by: "products", parts: 5 } },
      { field: "rating", mode: "range", ranges: { from: [4, 3, 2, 1] } },
    ],
    selection: { text: "", choices: { rating: { min: 3 } } },
    sort: "price,-rating",
    from: 0,
    size: 2,
    has: [],
  };
  const ask = (data: unknown) => request.post(`/api/shops/${demoShop}/ask`, { data, headers: origin });
  const answer = await (await ask(asked)).json();
  expect(answer.facets.price.steady.ranges.length).toBeGreaterThan(2);
  expect(answer.facets.rating.live).toHaveLength(4);
  expect(answer.facets.rating.live[1]).toBe(answer.total);
  const refused = await ask({ ...asked, facets: [{ field: "price", mode: "range", bands: { parts: 5 } }] });
  expect([refused.status(), (await refused.json()).path]).toEqual([400, "facets[0]"]);
});

test("a form of another site cannot create a shop", async ({ request }) => {
  const answer = await request.post("/api/shops", {
    headers: { origin: "http://elsewhere.example" },
    multipart: {
      file: { name: "a.csv", mimeType: "text/csv", buffer: Buffer.from("product_id,title\n1,a\n") },
      name: "Foreign",
      currency: "EUR",
    },
  });
  expect(answer.status()).toBe(403);
});

test("two panels of one name get addresses of their own", async ({ request }) => {
  const made = await Promise.all(Array.from({ length: 4 }, () => newPanel(request)));
  expect(new Set(made.map(({ path }) => path)).size).toBe(4);
});

test("a save whose answer was lost is answered again, and another one of the same version is not", async ({
  request,
}) => {
  const { path, version, document } = await newPanel(request);
  const put = (name: string) =>
    request.put(path, { data: { version, document: { ...document, name } }, headers: origin });
  expect(await (await put("Once")).json()).toEqual({ version: version + 1 });
  // Sent again, since nobody heard the answer.
  const again = await put("Once");
  expect([again.status(), await again.json()]).toEqual([200, { version: version + 1 }]);
  expect((await put("Twice")).status()).toBe(409);
  expect((await (await request.get(path)).json()).document.name).toBe("Once");
});

test("the tool and its interface say what may run in them, and demand no HTTPS", async ({ request, page }) => {
  for (const path of ["/", "/new", "/api/shops", "/api/nothing"]) {
    const headers = (await request.get(path)).headers();
    expect(headers["content-security-policy"], path).toMatch(/script-src 'self'(;|$)/);
    expect(headers["content-security-policy"], path).toContain("frame-ancestors 'self'");
    expect(headers["x-content-type-options"], path).toBe("nosniff");
    expect(headers["cross-origin-resource-policy"], path).toBe("same-origin");
    expect(headers["strict-transport-security"], path).toBeUndefined();
  }
  // Nothing that the tool does is against its own rules.
  const complaints: string[] = [];
  page.on("console", (message) => {
    if (/Content Security Policy|Refused to/i.test(message.text())) complaints.push(message.text());
  });
  for (const view of ["", "/catalogue", "/panels", "/swatches", "/look", "/pages", "/rehearsal", "/editions"]) {
    await page.goto(`/shops/${demoShop}${view}`);
    await expect(page.locator("main").first()).toBeVisible();
    // The view's frames have loaded too, and with them everything that could report an error.
    for (const frame of await page.locator("main iframe").all())
      await expect(frame.contentFrame().locator("body")).not.toBeEmpty();
  }
  expect(complaints).toEqual([]);
});
