import { html } from "hono/html";

/** A static page of the server's own. @param body markup */
export const minimalPage = (title: string, body: unknown) => html`<!doctype html>
<html lang="en">
  <head>
    <meta charset="utf-8" />
    <meta name="viewport" content="width=device-width, initial-scale=1" />
    <title>${title}</title>
    <style>
      body { max-width: 520px; margin: 18vh auto; padding: 0 24px; font: 17px/1.5 system-ui, sans-serif; color: #34203f; background: #faf5ec; }
      h1 { font-size: 28px; }
      a { color: inherit; }
      form { max-width: 320px; }
      label, input, button { display: block; width: 100%; box-sizing: border-box; font: inherit; }
      input { margin: 6px 0 14px; padding: 9px 12px; border: 1px solid #8d7596; border-radius: 8px; background: #fffdf8; }
      button { padding: 10px; border: 0; border-radius: 8px; background: #321a3d; color: #fff8ef; cursor: pointer; }
      :focus-visible { outline: 3px solid #f4955a; outline-offset: 2px; }
      [role="alert"] { color: #a83c25; }
    </style>
  </head>
  <body>
    <h1>${title}</h1>
    ${body}
  </body>
</html>`;

/** A page that says what is wrong and links back. */
export const messagePage = (title: string, message: string) =>
  minimalPage(
    title,
    html`<p>${message}</p>
    <p><a href="/">All shops</a></p>`,
  );
