import { randomBytes, timingSafeEqual } from "node:crypto";
import { type Context, Hono, type MiddlewareHandler } from "hono";
import { bodyLimit } from "hono/body-limit";
import { deleteCookie, getCookie, setCookie } from "hono/cookie";
import { html } from "hono/html";
import { limits } from "../../core/sanitize/limits.ts";
import { audienceOf } from "../cache-key.ts";
import { minimalPage } from "../routes/message-page.ts";
import { formOf, stateAsked } from "../routes/request.ts";
import { type Password, passwordFault } from "./password.ts";
import { LoginDelays, PasswordQueue, Sessions, sessionSeconds } from "./sessions.ts";

const cookie = "zt-session";

/**
 * Paths that anybody may see without signing in: published pages, their files, and previews, whose addresses are
 * secret.
 */
const open = /^\/(?:shop|edition|preview|preview-notes|storefront|pictures|demo\/pictures)\//;
const asked = /^\/api\/shops\/[^/]+\/(?:ask|data|suggest)$/;

/**
 * Whether a request is about an edition or a shared preview, which anybody may read; requests about the draft, or
 * invalid ones, are not public.
 */
function isPublic(c: Context): boolean {
  if (!asked.test(c.req.path)) return false;
  try {
    return audienceOf(stateAsked(c)) === "anyone";
  } catch {
    return false;
  }
}

export interface Gate {
  /** Lets signed-in people pass; everybody else sees only what shoppers see. */
  guard: MiddlewareHandler;
  /** Routes to sign in and out, and to set the password the first time. */
  routes: Hono;
  /** The secret in the address for setting the first password; shown in the terminal only. */
  firstKey: string;
}

export interface GateOptions {
  /** A proxy sets `X-Forwarded-For`, which anybody could forge without one. Default: no. */
  behindProxy?: boolean;
}

/** Access control for a tool that is open to a network. */
export function gate(password: Password, { behindProxy = false }: GateOptions = {}): Gate {
  const sessions = new Sessions();
  const tries = new LoginDelays();
  const checks = new PasswordQueue();
  const firstKey = randomBytes(18).toString("base64url");
  const isFirstKey = (given: string) =>
    given.length === firstKey.length && timingSafeEqual(Buffer.from(given), Buffer.from(firstKey));

  const guard: MiddlewareHandler = async (c, next) => {
    const { path } = c.req;
    if (open.test(path) || path === "/sign-in") return next();
    if (isPublic(c)) return next();
    if (sessions.has(getCookie(c, cookie))) return next();
    if (path.startsWith("/api/")) return c.json({ error: "Sign in first. Reload the page." }, 401);
    return c.redirect(`/sign-in?to=${encodeURIComponent(path)}`);
  };

  const routes = new Hono();
  routes.get("/sign-in", (c) => {
    const key = c.req.query("key") ?? "";
    if (password.isSet) return c.html(signInPage(c.req.query("to") ?? "/", undefined));
    if (isFirstKey(key)) return c.html(firstPage(key, undefined));
    return c.html(
      messagePage(
        "No password yet",
        "Open the address that the server printed in its terminal, and set a password there.",
      ),
      503,
    );
  });

  routes.post("/sign-in", bodyLimit({ maxSize: limits.signIn.max, onError: tooLong }), async (c) => {
    const place = placeOf(behindProxy ? c.req.header("x-forwarded-for") : undefined, c.env);
    const done = checks.enter(place);
    if (!done) return c.html(messagePage("Too many attempts", tooMany), 429, { "retry-after": "5" });
    try {
      return await signIn(c, place);
    } finally {
      done();
    }
  });

  async function signIn(c: Context, place: string): Promise<Response> {
    const form = await formOf(c.req.raw);
    const given = String(form.password ?? "");
    if (!password.isSet) {
      const key = String(form.key ?? "");
      if (!isFirstKey(key))
        return c.html(
          messagePage(
            "Something went wrong",
            "This address can’t set the password. Use the one that the server printed in its terminal.",
          ),
          403,
        );
      const fault = passwordFault(given);
      if (fault) return c.html(firstPage(key, fault), 400);
      await password.set(given);
    } else {
      await new Promise((done) => setTimeout(done, tries.pauseFor(place)));
      const right = await checks.within(() => password.is(given));
      if (right === undefined) return c.html(messagePage("Too many attempts", tooMany), 429, { "retry-after": "5" });
      if (!right) {
        tries.wrong(place);
        return c.html(signInPage(String(form.to ?? "/"), "Wrong password."), 403);
      }
      tries.right(place);
    }
    setCookie(c, cookie, sessions.begin(), {
      httpOnly: true,
      sameSite: "Lax",
      path: "/",
      maxAge: sessionSeconds,
      secure: isSecure(c.req.url, c.req.header("x-forwarded-proto")),
    });
    return c.redirect(ownPath(String(form.to ?? "/")));
  }

  routes.post("/sign-out", (c) => {
    sessions.end(getCookie(c, cookie));
    deleteCookie(c, cookie, { path: "/" });
    return c.redirect("/sign-in");
  });
  return { guard, routes, firstKey };
}

/** A path on this server, never another site. */
const ownPath = (to: string): string => (/^\/(?![/\\])[^\s\\]*$/.test(to) ? to : "/");

const isSecure = (url: string, forwarded: string | undefined): boolean =>
  url.startsWith("https:") || forwarded === "https";

/** The client's address: the last one reported by a proxy, otherwise that of the connection. */
function placeOf(forwarded: string | undefined, env: unknown): string {
  const last = forwarded?.split(",").at(-1)?.trim();
  if (last) return last;
  const incoming = (env as { incoming?: { socket?: { remoteAddress?: string } } } | undefined)?.incoming;
  return incoming?.socket?.remoteAddress ?? "";
}

const tooMany = "Other people are signing in right now. Wait a few seconds, then try again.";
const tooLong = (c: Context) =>
  c.html(messagePage("Password too long", "Choose a password with at most 1,000 characters."), 413);

const messagePage = (title: string, message: string) => minimalPage(title, html`<p>${message}</p>`);

const alert = (fault: string | undefined) => (fault === undefined ? "" : html`<p role="alert">${fault}</p>`);

const signInPage = (to: string, fault: string | undefined) =>
  minimalPage(
    "Zany Trellis",
    html`<form method="post" action="/sign-in">
      ${alert(fault)}
      <label>Password <input name="password" type="password" autocomplete="current-password" required autofocus /></label>
      <input type="hidden" name="to" value="${ownPath(to)}" />
      <button>Sign in</button>
    </form>`,
  );

const firstPage = (key: string, fault: string | undefined) =>
  minimalPage(
    "Set a password",
    html`<form method="post" action="/sign-in">
      ${alert(fault)}
      <p>Anyone who knows it can change every shop here. Shoppers see published pages without it.</p>
      <label>Password <input name="password" type="password" autocomplete="new-password" minlength="8" required autofocus /></label>
      <input type="hidden" name="key" value="${key}" />
      <button>Set password and sign in</button>
    </form>`,
  );
