import { useEffect } from "react";
import { Link, useRouteError } from "react-router";

/**
 * Takes the place of a view that failed: by a fault of the tool, or because the tool was updated while the page was
 * open, so that a part of it is gone from the server.
 */
export function FailedView() {
  const error = useRouteError();
  useEffect(() => console.error(error), [error]);
  return (
    <main className="mx-auto grid h-full max-w-lg place-content-center gap-3 px-6">
      <h1 className="text-3xl">This view stopped working</h1>
      <p className="text-quiet">
        Reload the page. If it fails again, go to all shops and open the view from there. Everything that was saved is
        kept.
      </p>
      <p className="text-[13px] text-quiet">
        Details: <code>{error instanceof Error ? error.message : String(error)}</code>
      </p>
      <div className="mt-3 flex gap-2">
        <button type="button" className="btn btn-primary btn-sm" onClick={() => location.reload()}>
          Reload
        </button>
        <Link to="/" reloadDocument className="btn btn-sm">
          All shops
        </Link>
      </div>
    </main>
  );
}
