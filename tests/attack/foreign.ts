import { request } from "node:http";
import { withServer } from "../browser.ts";
import type { Attack } from "./attack.ts";

const hosts = [
  "evil.example",
  "127.0.0.1.evil.example",
  "localhost.evil.example",
  "[::ffff:1.2.3.4]",
  "0x7f.1.evil",
  "evil.example:80",
];
const paths = [
  "/",
  "/api/shops",
  "/draft/larkmoss-nursery/",
  "/shop/larkmoss-nursery/",
  "/storefront/style.css",
  "/pictures/x/y",
];

/** Foreign names that point here, and pages of other sites that send forms. */
export const foreign: Attack = {
  name: "rebound names and foreign pages",
  run: () =>
    withServer(4388, async (origin) => {
      const failures: string[] = [];
      let tries = 0;
      const { port } = new URL(origin);
      const status = (path: string, host: string) =>
        new Promise<number>((done, failed) =>
          request({ host: "127.0.0.1", port, path, headers: { host } }, (answer) => {
            answer.resume();
            done(answer.statusCode ?? 0);
          })
            .on("error", failed)
            .end(),
        );
      for (const host of hosts)
        for (const path of paths) {
          tries++;
          const answered = await status(path, host);
          if (answered !== 403) failures.push(`${host}${path} answered ${answered}`);
        }
      const forms = ["application/x-www-form-urlencoded", "multipart/form-data; boundary=x", "text/plain"];
      for (const type of forms)
        for (const [method, path] of [
          ["POST", "/api/shops"],
          ["POST", "/api/shops/larkmoss-nursery/editions"],
          ["POST", "/api/shops/larkmoss-nursery/catalogue"],
          ["DELETE", "/api/shops/larkmoss-nursery"],
        ] as const) {
          tries++;
          const answer = await fetch(origin + path, {
            method,
            headers: { origin: "https://evil.example", "content-type": type },
            body: "note=x",
          });
          if (answer.ok) failures.push(`${method} ${path} as ${type} from another site answered ${answer.status}`);
        }
      const shops = await (await fetch(`${origin}/api/shops`)).json();
      if (shops.length !== 1) failures.push(`There are ${shops.length} shops afterwards.`);
      return { tries, failures, measured: `${hosts.length} names, ${paths.length} addresses` };
    }),
};
