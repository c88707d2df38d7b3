/**
 * Many shoppers at once on a published shop of 20,000 products: `npm run bench -- --load`. Pages and answers a second,
 * and how long one in a hundred waits. Shoppers follow one another without a pause, on few pages and choices, as on a sale.
 */
import { withServer } from "../tests/browser.ts";
import { makeShop, publish } from "./made-shop.ts";
import { type Load, shopperRequests, under } from "./shoppers.ts";

/** @param different how many different pages or questions there are */
export const benchLoad = (different: number): Promise<Load[]> =>
  withServer(4390, async (origin) => {
    const made = await makeShop(origin, 20_000, 30);
    await publish(origin, made.shop);
    const { page, ask } = shopperRequests(made, different);
    // Whatever is made once is made.
    await page(origin, 0);
    await ask(origin, 0);
    return [
      await under(`pages, ${different} different`, (n) => page(origin, n)),
      await under(`answers, ${different} different`, (n) => ask(origin, n)),
    ];
  });
