import { Link } from "react-router";

/** A view that says what is wrong and leads back. */
export function NotHere({ title, message }: { title: string; message: string }) {
  return (
    <main className="mx-auto grid h-full max-w-lg place-content-center gap-3 px-6">
      <h1 className="text-3xl">{title}</h1>
      <p className="text-quiet">{message}</p>
      <Link to="/" className="btn btn-primary btn-sm mt-3 justify-self-start">
        All shops
      </Link>
    </main>
  );
}
