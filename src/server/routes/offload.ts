import type { Context } from "hono";
import type { ContentfulStatusCode } from "hono/utils/http-status";
import type { RenderedResponse } from "../response-cache.ts";

/** Has a request answered in another thread. */
export type Offload = (c: Context) => Promise<Response>;

/** A text response in cacheable form. */
export const renderedOf = async (response: Response): Promise<RenderedResponse> => ({
  // Whatever else it is, it has a text.
  status: response.status as ContentfulStatusCode,
  text: await response.text(),
});
