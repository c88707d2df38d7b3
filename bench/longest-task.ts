import type { Page } from "@playwright/test";

/** Watches a page for tasks that hold it up. Call before it is opened. Source: W3C Long Tasks. */
export const watchTasks = (page: Page): Promise<unknown> =>
  page.addInitScript(() => {
    const tasks: number[] = [];
    Object.assign(window, { tasks });
    new PerformanceObserver((list) => {
      for (const entry of list.getEntries()) tasks.push(entry.duration);
    }).observe({ type: "longtask", buffered: true });
  });

/** The longest task so far, in ms; 0 when none took 50. */
export const longestTask = (page: Page): Promise<number> =>
  page.evaluate(() => Math.max(0, ...("tasks" in window ? (window.tasks as number[]) : [])));
