import { CatalogueError, problemText } from "../../core/catalogue/problem.ts";
import { InvalidDocument } from "../../core/document/schema.ts";
import { quotable } from "../../core/sanitize/limits.ts";
import { StoreFault } from "../column-store/shard.ts";
import { HttpError } from "../http-error.ts";

/** Converts known errors to a response; others are logged and reported without details. */
export function asFault(error: Error): HttpError {
  if (error instanceof HttpError) return error;
  if (error instanceof StoreFault) return new HttpError(503, error.message);
  if (error instanceof CatalogueError)
    return new HttpError(422, problemText(error.problem), { problem: error.problem });
  if (error instanceof InvalidDocument)
    return new HttpError(422, `This is not a valid ${error.what}: ${quotable(error.message)}.`, { path: error.path });
  console.error(error);
  return new HttpError(500, "Something went wrong on the server. Nothing was changed; try again.");
}
