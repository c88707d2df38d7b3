import { chromium } from "@playwright/test"; import { launch } from "./tests/browser.ts";
const b = await chromium.launch(launch); const p = await b.newPage({viewport:{width:1280,height:800}});
const [,, ...jobs] = process.argv;
for (const j of jobs) { const [url,name,wait] = j.split("|"); await p.goto("http://127.0.0.1:4777"+url); await p.waitForTimeout(Number(wait??3000)); await p.screenshot({path:`/tmp/shots/${name}.png`}); }
await b.close();
