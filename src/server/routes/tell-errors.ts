import type { Hono } from "hono";
import { asFault } from "./as-fault.ts";
import { messagePage } from "./message-page.ts";

/** Answers errors and unknown addresses: requests of the API with JSON, everything else with a page. */
export function tellErrors(app: Hono): void {
  app.onError((error, c) => {
    const { status, message, detail } = asFault(error);
    return c.req.path.startsWith("/api/")
      ? c.json({ error: message, ...detail }, status)
      : c.html(messagePage("Something went wrong", message), status);
  });
  app.notFound((c) =>
    c.html(messagePage("This page doesn’t exist", `There is nothing at ${c.req.path}. Check the address.`), 404),
  );
}
