import type { Context } from "hono";
import type { ContentfulStatusCode } from "hono/utils/http-status";
import type { RenderedResponse } from "../response-cache.ts";

/** Has a request answered where it holds up nobody. */
export type Offload = (c: Context) => Promise<Response>;

/** An answer with a text in it, as it can be kept. */
export const renderedOf = async (response: Response): Promise<RenderedResponse> => ({
  // Whatever else it is, it has a text.
  status: response.status as ContentfulStatusCode,
  text: await response.text(),
});
