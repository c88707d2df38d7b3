import type { ContentfulStatusCode } from "hono/utils/http-status";

/** An error response: what is wrong, where, and what to do. */
export class HttpError extends Error {
  override name = "HttpError";
  readonly status: ContentfulStatusCode;
  readonly detail: Record<string, unknown>;
  constructor(status: ContentfulStatusCode, message: string, detail: Record<string, unknown> = {}) {
    super(message);
    this.status = status;
    this.detail = detail;
  }
}

/** There is no shop with this slug. */
export const noShop = (slug: string): HttpError =>
  new HttpError(404, `There is no shop at “${slug}”. Go to all shops and open it from there.`);
/** There is no such document. @param what the kind in sentences, like “panel” */
export const noDocument = (what: string, slug = ""): HttpError =>
  new HttpError(404, `There is no ${what} at “${slug}” in this shop. Open it from the shop’s list of ${what}s.`);
