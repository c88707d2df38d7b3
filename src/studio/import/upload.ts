import { ApiError } from "../api.ts";

/**
 * Sends a form with progress.
 * @param progress share sent so far; 1 while the server processes it
 * @throws ApiError; with status 0 if it was cancelled or the server is unreachable
 */
export function upload<T>(
  path: string,
  form: FormData,
  progress: (share: number) => void,
  stop: AbortSignal,
): Promise<T> {
  return new Promise((done, failed) => {
    // fetch cannot report upload progress.
    const request = new XMLHttpRequest();
    request.open("POST", `/api${path}`);
    request.responseType = "json";
    request.upload.addEventListener("progress", ({ loaded, total }) => progress(total === 0 ? 0 : loaded / total));
    request.addEventListener("load", () => {
      const body = request.response ?? {};
      if (request.status < 300) done(body);
      else failed(new ApiError(request.status, body.error ?? `The server answered ${request.status}.`, body));
    });
    request.addEventListener("error", () =>
      failed(new ApiError(0, "The server cannot be reached. Is it still running?")),
    );
    request.addEventListener("abort", () => failed(new ApiError(0, "Sending was stopped. Nothing was stored.")));
    stop.addEventListener("abort", () => request.abort());
    request.send(form);
  });
}
