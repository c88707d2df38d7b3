import { createServer } from "node:http";
import type { AddressInfo } from "node:net";
import { chromium } from "@playwright/test";
import { launch, withServer } from "../browser.ts";
import type { Attack } from "./attack.ts";

const shop = "/api/shops/larkmoss-nursery";
/** Everything that changes something. */
const routes = [
  ...["/api/shops", "/api/folders", `${shop}/editions`, `${shop}/editions/1/restore`, `${shop}/catalogue`],
  ...[`${shop}/imports/1/take-back`, `${shop}/restore`, `${shop}/pictures`, `${shop}/documents/panel`],
  ...[`${shop}/documents/panel/climber-finder/restore`, `${shop}/documents/mends`, shop, "/sign-out"],
];
const types = ["text/plain", "application/json", "application/x-www-form-urlencoded", "application/csp-report", ""];

/** A page of another site, by every means that sends something without a click. */
const page = (tool: string) => `<!doctype html><title>evil</title><body><script>
const routes = ${JSON.stringify(routes)}, types = ${JSON.stringify(types)};
window.done = (async () => {
  const all = [];
  for (const path of routes) {
    const to = ${JSON.stringify(tool)} + path;
    for (const type of types) {
      const body = new Blob(['{"note":"evil","name":"evil"}'], { type });
      all.push(fetch(to, { method: "POST", mode: "no-cors", body, credentials: "include" }).catch(() => {}));
      all.push(fetch(to, { method: "POST", body, credentials: "include" }).catch(() => {}));
      for (const method of ["PUT", "DELETE", "PATCH"]) all.push(fetch(to, { method, body }).catch(() => {}));
      try { navigator.sendBeacon(to, body); } catch {}
    }
    for (const enctype of ["application/x-www-form-urlencoded", "multipart/form-data", "text/plain"]) {
      const frame = document.body.appendChild(document.createElement("iframe"));
      frame.name = "f" + Math.random();
      const form = document.body.appendChild(document.createElement("form"));
      Object.assign(form, { method: "post", action: to, enctype, target: frame.name });
      form.innerHTML = '<input name="note" value="evil"><input name="name" value="evil">';
      form.submit();
    }
    const sandboxed = document.body.appendChild(document.createElement("iframe"));
    sandboxed.sandbox = "allow-scripts allow-forms";
    sandboxed.srcdoc = '<form method="post" action="' + to + '"><input name="note" value="evil"></form><script>document.forms[0].submit()<' + '/script>';
    for (const tag of ["img", "script", "iframe", "video", "embed"]) document.body.appendChild(Object.assign(document.createElement(tag), { src: to }));
    document.head.appendChild(Object.assign(document.createElement("link"), { rel: "stylesheet", href: to }));
    document.head.appendChild(Object.assign(document.createElement("link"), { rel: "prefetch", href: to }));
    try { new WebSocket(to.replace("http", "ws")); new EventSource(to); } catch {}
    const a = document.body.appendChild(Object.assign(document.createElement("a"), { href: "#x", ping: to }));
    a.click();
  }
  await Promise.all(all);
  await new Promise((done) => setTimeout(done, 1500));
})();
</script>`;

/** A foreign page in Chromium, while the tool runs: whatever it sends without a click, no shop is changed. */
export const foreignPage: Attack = {
  name: "a foreign page in Chromium",
  run: () =>
    withServer(4388, async (origin) => {
      const failures: string[] = [];
      let heard = 0;
      const state = async () =>
        JSON.stringify(
          await Promise.all(
            ["/api/shops", "/api/removed", `${shop}/editions`, `${shop}/imports`, `${shop}/documents/panel`].map(
              async (path) => (await fetch(origin + path)).json(),
            ),
          ),
        );
      const before = await state();
      // The policy of the foreign page reports to the tool, which posts as well.
      const server = createServer((request, response) => {
        heard++;
        const report = routes[heard % routes.length] ?? "";
        response.writeHead(200, {
          "content-type": "text/html",
          ...(request.url?.startsWith("/report")
            ? { "content-security-policy": `img-src 'none'; report-uri ${origin}${report}` }
            : {}),
        });
        response.end(request.url?.startsWith("/report") ? '<img src="http://blocked.invalid/">' : page(origin));
      });
      await new Promise<void>((done) => server.listen(0, "127.0.0.1", done));
      const browser = await chromium.launch(launch);
      let tries = 0;
      try {
        const { port } = server.address() as AddressInfo;
        for (const host of ["127.0.0.1", "localhost"]) {
          const context = await browser.newContext();
          const tab = await context.newPage();
          tab.on("request", (request) => {
            if (request.url().startsWith(origin)) tries++;
          });
          // The tool is open beside it.
          const own = await context.newPage();
          await own.goto(`${origin}/`);
          await tab.goto(`http://${host}:${port}/`);
          await tab.evaluate("window.done");
          for (let n = 0; n < routes.length; n++) await tab.goto(`http://${host}:${port}/report${n}`);
          await tab.waitForTimeout(1000);
          await context.close();
        }
      } finally {
        await browser.close();
        server.close();
      }
      if ((await state()) !== before) failures.push("A shop was changed.");
      if (tries < 100) failures.push(`Only ${tries} requests set out.`);
      return { tries, failures, measured: `${routes.length} routes that change something` };
    }),
};
